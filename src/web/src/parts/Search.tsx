// Words to look for, in the head of a book.
import { Input } from 'antd';

export const Search = ({ of, value, set }: { of: string; value: string; set: (to: string) => void }) => (
  <Input aria-label="Search" placeholder={`Search ${of}`} allowClear value={value} onChange={(e) => set(e.target.value)} />
);
