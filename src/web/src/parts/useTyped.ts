// A figure typed at the bench, in the household's unit or one named behind it.
import { useState } from 'react';
import { isBlank, typedIn } from './typed';
import { useUnits, type Quantity } from './units';

export function useTyped(of: Quantity) {
  const [text, type] = useState('');
  const { shown, typed } = useUnits();
  const unit = shown[of];
  return {
    text,
    type,
    unit: unit.name,
    blank: isBlank(text),
    /** In our units; null when nothing was typed, or no number. */
    value: isBlank(text) ? null : typedIn(text, unit, typed[of]),
  };
}
