import { NextResponse, type NextRequest } from 'next/server';
import { contentSecurityPolicy } from '@/server/contentSecurity';
import { turnedAway } from '@/server/guarded';

/** What every page passes: is it asked of this server, and what may it do in the browser. */
export function proxy(request: NextRequest): Response {
  const refusal = turnedAway(request);
  if (refusal) return refusal;
  const policy = contentSecurityPolicy(crypto.randomUUID());
  const headers = new Headers(request.headers);
  // The framework takes the nonce for its own scripts from here.
  headers.set('Content-Security-Policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('Content-Security-Policy', policy);
  return response;
}

export const config = { matcher: '/((?!api/|_next/).*)' };
