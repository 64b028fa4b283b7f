export { StageLoading as default } from '@/ui/PageLoading';
