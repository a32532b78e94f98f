export { CheckPage } from '@/features/check/CheckPage';
export { FindPage } from '@/features/find/FindPage';
export { HoldPage } from '@/features/hold/HoldPage';
export { ModelPage } from '@/features/model/ModelPage';
export { ReadingPage } from '@/features/reading/ReadingPage';
export { SheetPage } from '@/features/sheet/SheetPage';
