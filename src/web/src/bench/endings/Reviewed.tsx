// How the bread was.
import { Input } from 'antd';
import { useKept } from '../../parts/useKept';
import type { AtBeat } from '../AtTheBeat';
import { Frame } from '../Frame';
import { Photo } from '../../logbook/Photo';
import { StarButtons } from '../StarButtons';
import { Figure } from './Shown';
import * as words from '../words';

export function Reviewed(at: AtBeat) {
  const { bake, beat, told } = at;
  const [stars, setStars, forgetStars] = useKept(`stars/${bake.id}`, 0);
  const [note, setNote, forgetNote] = useKept(`note/${bake.id}`, '');
  const keep = () => {
    forgetStars();
    forgetNote();
    told({ type: 'reviewed', step: beat.step, stars, note });
  };
  return (
    <Frame {...at} say={beat.phrase.say} primary={null}>
      <Figure {...at} />
      <StarButtons stars={stars} set={setStars} />
      <label htmlFor="note">{words.forNextTime}</label>
      <Input.TextArea id="note" rows={2} value={note} onChange={(e) => setNote(e.target.value)} maxLength={2000} />
      <Photo id={bake.id} of={`${bake.title}, ${bake.what}`} />
      <button className="button do at-start" disabled={stars === 0} onClick={keep}>
        {words.keep}
      </button>
    </Frame>
  );
}
