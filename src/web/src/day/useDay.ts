import { api } from '../api/client';
import { houseSpeed, utcOffsetMinutes } from '../api/clock';

/** The day in full, for a picture this wide. */
export const useDay = (width: number) =>
  api.useQuery(
    'post',
    '/api/day',
    { body: { width, slim: width < 640, utcOffsetMinutes: utcOffsetMinutes() } },
    { enabled: width > 0, placeholderData: (before) => before, refetchInterval: houseSpeed() > 1 ? 3000 : 30000 },
  );
