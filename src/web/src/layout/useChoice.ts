// Everything chosen for a bake: kept while it is typed, and laid out by the server as it stands.
import { useEffect, useState } from 'react';
import { houseNow, utcOffsetMinutes } from '../api/clock';
import { api, type Schemas, type Trouble } from '../api/http';
import { useKept } from '../parts/useKept';
import type { CutChoice } from './CutList';

type Choice = Schemas['BakeChoice'];

export function useChoice(kitchen: Schemas['KitchenView'], dough: string, first: Choice, typed: string) {
  const [doughId, setDoughId] = useState(dough);
  const [choice, setChoice, forgetChoice] = useKept<Choice>(`lay-out/${typed}`, first);
  const [cuts, setCuts, forgetCuts] = useKept<CutChoice[]>(`cuts/${typed}`, first.cuts ?? []);
  const [scaleToFit, setScaleToFit] = useState(false);
  const [scaleToCuts, setScaleToCuts] = useState(false);
  // A time wanted when this was typed may have passed since.
  useEffect(() => {
    setChoice((c) => (c.readyBy && Date.parse(c.readyBy) < houseNow() ? { ...c, readyBy: null } : c));
    // eslint-disable-next-line react-hooks/exhaustive-deps -- once, for what was typed before
  }, []);

  const set = (to: Partial<Choice>) => setChoice((c) => ({ ...c, ...to }));
  const ways = choice.ways ?? kitchen.usualWays;
  const school = choice.school ?? kitchen.usualSchool;
  return {
    choice,
    set,
    ways,
    setWays: (to: Partial<Schemas['Ways']>) => set({ ways: { ...ways, ...to } }),
    school,
    setSchool: (to: Partial<Schemas['LoadSchool']>) => set({ school: { ...school, ...to } }),
    cuts,
    setCuts,
    doughId,
    setDough: (id: string) => {
      setDoughId(id);
      setScaleToFit(false);
    },
    scaleToFit,
    setScaleToFit,
    scaleToCuts,
    setScaleToCuts,
    request: { doughId, choice: { ...choice, cuts }, scaleToFit, scaleToCuts },
    forget: () => {
      forgetChoice();
      forgetCuts();
    },
  };
}

export type Chosen = ReturnType<typeof useChoice>;

/** What follows from it; what stands against it is found by its field, or by its code. */
export function useLaidOut({ request }: Chosen, width: number) {
  const laid = api.useQuery(
    'post',
    '/api/layouts',
    { body: { ...request, frame: { width, utcOffsetMinutes: utcOffsetMinutes() } } },
    { enabled: width > 0, retry: false, placeholderData: (before) => before, staleTime: 5000, refetchInterval: 30000 },
  );
  // How it goes with the rest of the day takes longer to say.
  const inDay = api.useQuery(
    'post',
    '/api/layouts/in-day',
    { body: request },
    { enabled: laid.isSuccess, retry: false, placeholderData: (before) => before, staleTime: 5000, refetchInterval: 30000 },
  );
  const trouble = laid.error as Trouble | null;
  return {
    layout: trouble ? null : (laid.data ?? null),
    inDay: trouble ? null : (inDay.data ?? null),
    trouble,
    problem: (field: string) => trouble?.problems?.find((p) => p.field === `choice.${field}`)?.reason,
    is: (code: string) => trouble?.problems?.some((p) => p.code === code) ?? false,
  };
}

export type LaidOut = ReturnType<typeof useLaidOut>;
