// The kitchen with the mark of how it was read: who changes it meanwhile is met, not overwritten.
import { useQuery } from '@tanstack/react-query';
import { allChanged, useChange } from './change';
import { http, type Schemas } from './http';

export type Kitchen = Schemas['Kitchen'];
export type Marked = { kitchen: Kitchen; mark: string };

const marked = (kitchen: Kitchen, response: Response): Marked => ({ kitchen, mark: response.headers.get('ETag') ?? '' });

/** Somebody else changed it since it was read. */
export const wasChanged = 412;

export async function readKitchen() {
  const { data, response } = await http.GET('/api/kitchen/setup');
  if (!data) throw new Error('The kitchen cannot be read.');
  return marked(data, response);
}

export const useMarkedKitchen = () =>
  useQuery({ queryKey: ['get', '/api/kitchen/setup', 'marked'], queryFn: readKitchen, staleTime: Infinity, gcTime: 0 });

export const useKeepKitchen = () =>
  useChange(
    async ({ kitchen, mark }: Marked) => {
      const { data, ...answer } = await http.PUT('/api/kitchen/setup', { body: kitchen, headers: { 'If-Match': mark } });
      return { ...answer, ...(data ? { data: marked(data, answer.response) } : {}) };
    },
    { after: allChanged, saysItself: true },
  );
