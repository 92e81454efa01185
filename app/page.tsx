import { connection } from 'next/server';
import { Shop } from '@/stations/Shop';

/** Drawn for each request, since its inline scripts carry the nonce of the answer. */
export default async function Page() {
  await connection();
  return <Shop />;
}
