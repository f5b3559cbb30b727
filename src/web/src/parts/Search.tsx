// Words to look for, in the head of a book.
import { Input } from 'antd';
import * as words from './words';

export const Search = ({ of, value, set }: { of: string; value: string; set: (to: string) => void }) => (
  <Input
    aria-label={words.search}
    placeholder={words.searchOfIt(of)}
    allowClear
    value={value}
    onChange={(e) => set(e.target.value)}
  />
);
