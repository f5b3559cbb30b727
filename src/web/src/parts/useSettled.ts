// When the first page has all it asked for: until then it is not shown, so that nothing on it moves.
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';

const lookEvery = 40;

/** Whether the page that was opened has come to rest. */
export function useSettled() {
  const queries = useQueryClient();
  const [settled, settle] = useState(false);
  useEffect(() => {
    if (settled) return;
    let quiet = 0;
    const timer = setInterval(() => {
      const asks = queries.isFetching({ predicate: (q) => q.state.data === undefined }) > 0;
      quiet = !asks && document.querySelector('main h1') ? quiet + 1 : 0;
      if (quiet > 1) settle(true);
    }, lookEvery);
    return () => clearInterval(timer);
  }, [queries, settled]);
  return settled;
}
