import { Segmented } from 'antd';

/** One of a few, all in sight. */
export function Choice<T extends string>({
  label,
  value,
  options,
  set,
}: {
  label: string;
  value: T;
  options: [T, string][];
  set: (value: T) => void;
}) {
  return (
    <div className="field">
      <span className="label">{label}</span>
      <Segmented<T>
        aria-label={label}
        value={value}
        onChange={set}
        options={options.map(([id, text]) => ({ value: id, label: text }))}
      />
    </div>
  );
}
