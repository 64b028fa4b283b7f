/** How `kb` is told what to do with a whole house; the doing is loaded only when it is asked for. */
export const HOUSE_USAGE = {
  backup: 'backup --to FOLDER [--keep NUMBER]',
  restore: 'restore FILE',
  export: 'export --all --to FOLDER',
  import: 'import --all FOLDER',
  site: 'site --out FOLDER',
} as const;

export type HouseCommand = keyof typeof HOUSE_USAGE;

export const isHouseCommand = (name: string): name is HouseCommand =>
  Object.hasOwn(HOUSE_USAGE, name);
