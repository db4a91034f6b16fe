import { ShelfPage } from '@/features/shelf/ShelfPage';
import { Crash } from '@/ui/Crash';

export default function Shelf() {
  return (
    <Crash>
      <ShelfPage />
    </Crash>
  );
}
