export { PageLoading as default } from '@/ui/PageLoading';
