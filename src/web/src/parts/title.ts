// What the tab is called: the page, and before it what calls.
let page = '';
let calling: string | null = null;

function show() {
  document.title = calling === null ? `${page} · Jolly Knot` : `● ${calling}`;
}

export function namePage(name: string) {
  page = name;
  show();
}

export function nameCall(said: string | null) {
  calling = said;
  show();
}
