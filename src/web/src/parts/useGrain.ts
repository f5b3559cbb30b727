import { api } from '../api/http';

/** By how many milliseconds a time is moved at once; 0 until it is known. */
export const useGrain = () => (api.useQuery('get', '/api/kitchen').data?.grain ?? 0) * 1000;
