import { api, type Schemas } from '../api/http';
import { houseSpeed, utcOffsetMinutes } from '../api/clock';

/** The day in full, for pictures this wide, with what would be changed. */
export const useDay = (width: number, changes: Schemas['ChangeLine'][] = []) =>
  api.useQuery(
    'post',
    '/api/day',
    { body: { frame: { width, utcOffsetMinutes: utcOffsetMinutes() }, changes } },
    {
      enabled: width > 0,
      placeholderData: (before) => before,
      // A better day may still be on its way.
      refetchInterval: ({ state }) => (state.data?.looking ? 700 : houseSpeed() > 1 ? 3000 : 30000),
      retry: false,
    },
  );
