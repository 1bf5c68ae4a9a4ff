/** A value of an object, or an element of one of its lists, as text. */
export interface JsonPart {
  /** The field of the object it belongs to. */
  field: string;
  /** Its place in the list; null where the value of the field is no list. */
  at: number | null;
  text: string;
}

/** Longest text of one part, letters: more than any document of ours has. */
const LONGEST = 64 * 1024 * 1024;

/**
 * Takes a JSON object apart while its text comes in, field by field and list element by list element, so that a file too large
 * to be read at once, or one that breaks off, gives all that is whole in it. What is inside a part is not looked at.
 *
 * @example
 * const splitter = new JsonSplitter((part) => parts.push(part));
 * splitter.push('{"at":"now","items":[{"id":1},{"i');
 * splitter.end(); // false: it breaks off; the parts are at and the first item
 */
export class JsonSplitter {
  /** Brackets that are open: the object itself, a list in it, and what a part has by itself. */
  #depth = 0;
  #inString = false;
  #escaped = false;
  /** Text of the part, or of the field’s name, that is open. */
  #pieces: string[] | null = null;
  #length = 0;
  #field: string | null = null;
  #list = -1;
  #inList = false;
  #wantsField = true;
  #ended = false;
  #broken = false;

  constructor(readonly onpart: (part: JsonPart) => void) {}

  /** More of the text. */
  push(chunk: string): void {
    let from = this.#pieces ? 0 : -1;
    for (let at = 0; at < chunk.length && !this.#broken; at++) {
      const letter = chunk.charCodeAt(at);
      if (this.#inString) {
        if (this.#escaped) this.#escaped = false;
        else if (letter === BACKSLASH) this.#escaped = true;
        else if (letter === QUOTE) this.#inString = false;
        continue;
      }
      const level = this.#inList ? 2 : 1;
      const outside = this.#depth === level;
      switch (letter) {
        case QUOTE:
          this.#inString = true;
          if (this.#depth === 0) this.#broken = true;
          else if (!this.#pieces) from = this.#open(at);
          break;
        case OPEN:
        case OPEN_LIST:
          if (this.#depth === 0) {
            this.#broken = letter !== OPEN;
            this.#depth = 1;
          } else if (letter === OPEN_LIST && outside && !this.#inList && !this.#pieces && !this.#wantsField) {
            this.#inList = true;
            this.#list = 0;
            this.#depth = 2;
          } else {
            if (!this.#pieces) from = this.#open(at);
            this.#depth++;
          }
          break;
        case CLOSE:
        case CLOSE_LIST:
          if (outside) {
            if (this.#pieces) this.#close(chunk.slice(from, at));
            from = -1;
            if (this.#inList) this.#inList = false;
            else this.#ended = true;
            this.#depth = level - 1;
          } else this.#depth--;
          break;
        case COLON:
          if (!outside || this.#inList || !this.#wantsField) break;
          this.#field = this.#name(chunk.slice(Math.max(0, from), at));
          from = -1;
          break;
        case COMMA:
          if (!outside) break;
          if (this.#pieces) this.#close(chunk.slice(from, at));
          from = -1;
          if (this.#inList) this.#list++;
          else this.#wantsField = true;
          break;
        default:
          if (letter > BLANK && !this.#pieces && this.#depth > 0) from = this.#open(at);
      }
    }
    if (this.#pieces && from >= 0) this.#keep(chunk.slice(from));
  }

  /** Whether the object was whole. */
  end(): boolean {
    return this.#ended && !this.#broken;
  }

  #open(at: number): number {
    this.#pieces = [];
    this.#length = 0;
    return at;
  }

  #keep(text: string): void {
    this.#length += text.length;
    if (this.#length > LONGEST) this.#broken = true;
    else this.#pieces?.push(text);
  }

  #name(last: string): string | null {
    this.#keep(last);
    const text = (this.#pieces ?? []).join('');
    this.#pieces = null;
    this.#wantsField = false;
    try {
      const name: unknown = JSON.parse(text);
      return typeof name === 'string' ? name : null;
    } catch (problem) {
      // A name that is no JSON names nothing; the part is told as broken with its place.
      if (problem instanceof SyntaxError) return null;
      throw problem;
    }
  }

  #close(last: string): void {
    this.#keep(last);
    const text = (this.#pieces ?? []).join('');
    this.#pieces = null;
    if (this.#field !== null && !this.#broken)
      this.onpart({ field: this.#field, at: this.#inList ? this.#list : null, text });
  }
}

const [QUOTE, BACKSLASH, COLON, COMMA, BLANK] = [34, 92, 58, 44, 32];
const [OPEN, CLOSE, OPEN_LIST, CLOSE_LIST] = [123, 125, 91, 93];
