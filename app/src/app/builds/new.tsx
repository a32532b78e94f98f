import { NewPiecePage } from '@/chunks';

export default function NewPiece() {
  return <NewPiecePage />;
}
