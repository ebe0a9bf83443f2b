// The scripts are modules of the browser, with names that Node would take for something older.
import {readFile} from 'node:fs/promises';

const HOME = new URL('../../main/resources/static/', import.meta.url);

export async function module(path) {
  const text = await readFile(new URL(path, HOME), 'utf8');
  return import('data:text/javascript;charset=utf-8,' + encodeURIComponent(text));
}
