import { handle } from '@/server/http/handle';
import { openApi } from '@/server/http/openapi';

export const GET = handle('read', async () => Response.json(openApi()));
