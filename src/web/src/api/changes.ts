// Every change the app can make, but for what is told of a bake.
import {
  allChanged,
  bakesChanged,
  copiesChanged,
  doughsChanged,
  houseChanged,
  kitchenChanged,
  larderChanged,
  pantryChanged,
  photosChanged,
  useChange,
} from './change';
import { http, type Schemas } from './http';

function dayChanged() {
  void kitchenChanged();
  bakesChanged();
}

// The day.
export const useArrangeDay = () =>
  useChange((changes: Schemas['ChangeLine'][]) => http.POST('/api/day/arrange', { body: { changes } }), { after: dayChanged });

export const useUndoDay = () => useChange(() => http.POST('/api/day/undo'), { after: dayChanged });

export const useLayOutBake = () =>
  useChange((body: Schemas['NewBake']) => http.POST('/api/bakes', { body }), { after: bakesChanged, saysItself: true });

// The kitchen.
export const useKeepHours = () =>
  useChange((body: Schemas['Kitchen']) => http.PUT('/api/kitchen/setup', { body }), { after: dayChanged });

export const useMakeCopy = () => useChange(() => http.POST('/api/copies'), { after: copiesChanged });

// The house begins anew after these two; its pages are to be loaded anew.
export const usePutBack = () =>
  useChange((name: string) => http.POST('/api/copies/back', { body: { name } }), { saysItself: true });

export const useBringArchive = () =>
  useChange(
    (file: File) =>
      http.POST('/api/archive', {
        body: '',
        bodySerializer: () => file,
        headers: { 'content-type': 'application/zip' },
      }),
    { saysItself: true },
  );

// What is read and what can be made here may be another after it.
export const useAnswerFirst = () =>
  useChange((body: Schemas['FirstAnswers']) => http.POST('/api/kitchen/first', { body }), { after: allChanged });

export const useSendAway = () =>
  useChange((id: string) => http.DELETE('/api/house/devices/{id}', { params: { path: { id } } }), { after: houseChanged });

export const useLogOut = () => useChange(() => http.POST('/api/house/out'), { after: () => window.location.assign('/') });

export const useTakeStarter = () =>
  useChange((body: Schemas['TakeStarter']) => http.POST('/api/starters', { body }), { after: doughsChanged });

// The pantry.
export const useKeepCups = () =>
  useChange((body: Schemas['CupSettings']) => http.PUT('/api/pantry/cups', { body }), { after: pantryChanged });

export const useKeepIngredient = () =>
  useChange((body: Schemas['PantryIngredient']) => http.PUT('/api/pantry/ingredients', { body }), {
    after: pantryChanged,
    saysItself: true,
  });

export const useForgetIngredient = () =>
  useChange((name: string) => http.DELETE('/api/pantry/ingredients/{name}', { params: { path: { name } } }), {
    after: pantryChanged,
  });

export const useTeach = () =>
  useChange((corrections: Schemas['Correction'][]) => http.POST('/api/pantry/lessons', { body: { corrections } }), {
    after: pantryChanged,
  });

export const useForgetWords = () =>
  useChange((words: string) => http.DELETE('/api/pantry/words/{words}', { params: { path: { words } } }), {
    after: pantryChanged,
  });

// What is kept in fridge and freezer.
export const useMoveKept = () =>
  useChange(
    ({ to, kind, ...path }: { bake: string; cut: number } & Schemas['KeptMove']) =>
      http.POST('/api/larder/{bake}/{cut}', { params: { path }, body: { kind, to } }),
    { after: larderChanged },
  );

export const useWantKept = () =>
  useChange(
    ({ at, ...path }: { bake: string; cut: number } & Schemas['KeptWanted']) =>
      http.POST('/api/larder/{bake}/{cut}/wanted', { params: { path }, body: { at: at ?? null } }),
    { after: larderChanged },
  );

export const useFreezeBread = () =>
  useChange(
    ({ bake, ...body }: { bake: string } & Schemas['FreezeBread']) =>
      http.POST('/api/bakes/{bake}/freeze', { params: { path: { bake } }, body }),
    { after: larderChanged },
  );

// A machine's program, as it is seen to run.

export const useSayCycle = () =>
  useChange(
    ({ id, ...body }: { id: string } & Schemas['CycleSaid']) =>
      http.POST('/api/bakes/{id}/cycle', { params: { path: { id } }, body }),
    { after: kitchenChanged },
  );

export const useTakeCycleBack = () =>
  useChange(({ id }: { id: string }) => http.DELETE('/api/bakes/{id}/cycle', { params: { path: { id } } }), {
    after: kitchenChanged,
  });

// Pictures of bread.

export const useKeepPhoto = () =>
  useChange(
    ({ id, photo }: { id: string; photo: Blob }) =>
      http.PUT('/api/bakes/{id}/photo', {
        params: { path: { id } },
        body: photo as never,
        bodySerializer: (body: unknown) => body as Blob,
        headers: { 'content-type': 'image/jpeg' },
      }),
    { after: photosChanged, saysItself: true },
  );

export const useDropPhoto = () =>
  useChange(({ id }: { id: string }) => http.DELETE('/api/bakes/{id}/photo', { params: { path: { id } } }), {
    after: photosChanged,
  });

// The doughs.
export const useKeepDough = () =>
  useChange(
    ({ id, draft, of }: { id: string; draft: Schemas['DoughDraft']; of?: number | null }) =>
      http.PUT('/api/doughs/{id}', {
        params: { path: { id } },
        body: draft,
        ...(of ? { headers: { 'If-Match': `"${of}"` } } : {}),
      }),
    { after: doughsChanged, saysItself: true },
  );

export const useWriteHint = () =>
  useChange((id: string) => http.POST('/api/doughs/{id}/hint', { params: { path: { id } } }), { after: doughsChanged });

export const usePutAway = () =>
  useChange((id: string) => http.DELETE('/api/doughs/{id}', { params: { path: { id } } }), { after: doughsChanged });

export const useBringBack = () =>
  useChange((id: string) => http.POST('/api/doughs/{id}/return', { params: { path: { id } } }), { after: doughsChanged });

// The scale.
export const useScaleTakesByItself = () => useChange((on: boolean) => http.PUT('/api/scale/auto', { body: { on } }));
export const usePutOnScale = () => useChange((mass: number) => http.POST('/api/scale/put', { body: { mass } }));
export const useClearScale = () => useChange(() => http.POST('/api/scale/clear'));
export const useTareScale = () => useChange(() => http.POST('/api/scale/tare'));

// A line of a recipe: nothing is changed by reading it.
export const useReadLine = () =>
  useChange((text: string) => http.POST('/api/recipes/read', { body: { text, language: null } }), { saysItself: true });
