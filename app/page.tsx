import { Shop } from '@/stations/Shop';

export default function Page() {
  return <Shop />;
}
