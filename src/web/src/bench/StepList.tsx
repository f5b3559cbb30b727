// Every step of the bake: any may be done now, early or late, or skipped.
import { Modal } from 'antd';
import { useState } from 'react';
import type { BakeEvent, BenchView, Schemas } from '../api/http';
import { clockTime } from '../api/clock';
import * as words from './words';
import css from './bench.module.css';

const stateWords: Record<Schemas['StepState'], string> = {
  ahead: '',
  open: 'now',
  done: 'done',
  skipped: 'skipped',
  passed: 'passed',
};

export function StepList({
  bake,
  choose,
  send,
  open,
  setOpen,
}: {
  bake: BenchView;
  choose: (step: string) => void;
  send: (event: BakeEvent) => void;
  open: boolean;
  setOpen: (open: boolean) => void;
}) {
  const [sure, setSure] = useState(false);
  return (
    <Modal open={open} onCancel={() => setOpen(false)} footer={null} title={words.allSteps(bake.title)} width={720}>
      <ul className={`lines ${css.steps}`}>
        {bake.steps.map((s) => (
          <li key={s.step} className={s.state}>
            <span className="num">
              {clockTime(s.state === 'done' ? s.end : s.start)}
              {s.planned && clockTime(s.planned) !== clockTime(s.start) ? (
                <small className="muted"> {words.plan(clockTime(s.planned))}</small>
              ) : null}
            </span>
            <span>
              {s.short} <small className="muted">{stateWords[s.state]}</small>
            </span>
            {s.state === 'done' || s.state === 'skipped' ? null : (
              <span>
                <button
                  className="button reach"

                  onClick={() => {
                    choose(s.step);
                    setOpen(false);
                  }}
                >
                  {words.doIt}
                  <span className="sr"> {s.short}</span>
                </button>{' '}
                <button className="button reach" onClick={() => send({ type: 'step-skipped', step: s.step })}>
                  {words.skip}
                  <span className="sr"> {s.short}</span>
                </button>
              </span>
            )}
          </li>
        ))}
      </ul>
      <p className="well-under">
        {sure ? (
          <button className="button" onClick={() => send({ type: 'stopped' })}>
            {words.yesGiveThisBakeUp}
          </button>
        ) : (
          <button className="link reach" onClick={() => setSure(true)}>
            {words.giveThisBakeUp}
          </button>
        )}
      </p>
    </Modal>
  );
}
