import type { WaitingPhoto } from './waiting';

/**
 * - `keeping`: chosen, being written into this device: until then it is only in this page;
 * - `waiting`: chosen, its turn has not come;
 * - `sending`: on its way, `sent` of it there;
 * - `filing`: all there, being made upright and small;
 * - `stopped`: no answer; goes on when there is one again, from where it stopped;
 * - `refused`: it cannot be taken, and `says` why;
 * - `known`: the job had this very picture already.
 */
export type UploadState = 'keeping' | 'waiting' | 'sending' | 'filing' | 'stopped' | 'refused' | 'known';

export interface UploadItem {
  readonly id: string;
  readonly name: string;
  readonly bytes: number;
  readonly sent: number;
  readonly state: UploadState;
  readonly says?: string;
  /** This browser keeps nothing: until it has gone it is only in this page. */
  readonly notKept?: boolean;
}

/** What came of filing a picture that has wholly arrived. */
export type Filing =
  | { readonly kind: 'filed'; readonly known: boolean }
  | { readonly kind: 'refused'; readonly says: string }
  | { readonly kind: 'no-answer' };

/** How the queue reaches the world; tests put their own in. */
export interface UploadLinks {
  /** Sends the bytes, going on where an earlier try stopped; rejects with `Refusal` or anything else when it fails. */
  readonly send: (photo: WaitingPhoto, progress: (sent: number) => void, stop: AbortSignal) => Promise<void>;
  readonly file: (photo: WaitingPhoto) => Promise<Filing>;
  /** Tells the server that nothing more of it will come. */
  readonly drop: (photo: WaitingPhoto) => void;
  readonly keep: (photo: WaitingPhoto) => Promise<void>;
  readonly forget: (id: string) => Promise<void>;
  /** Whether the server can be reached, as far as is known. */
  readonly reached: () => boolean;
  readonly newId: () => string;
  /** The survey has another photograph now. */
  readonly filed: () => void;
}

/** The server will not have it, and says why. */
export class Refusal extends Error {}

/** What is said of pictures that are handed in together. */
export type AboutWaiting = Pick<WaitingPhoto, 'subject' | 'subjectId' | 'caption' | 'fromCustomer'>;

const AT_ONCE = 2;
const MOST_BYTES = 25 * 1024 * 1024;

interface Entry {
  photo: WaitingPhoto;
  item: UploadItem;
  stop: AbortController | null;
}

/**
 * Pictures on their way into one job, two at a time. Each is kept in the browser before it is sent and until the server
 * has it; one that is refused does not hold up the others.
 */
export class UploadQueue {
  private entries: Entry[] = [];
  private items: readonly UploadItem[] = [];
  private readonly listeners = new Set<() => void>();
  private closed = false;

  constructor(
    private readonly personId: string,
    private readonly jobId: string,
    private readonly links: UploadLinks,
  ) {}

  readonly get = (): readonly UploadItem[] => this.items;

  readonly subscribe = (listener: () => void): (() => void) => {
    this.listeners.add(listener);
    return () => this.listeners.delete(listener);
  };

  /** Takes up pictures an earlier visit left waiting. */
  adopt(photos: readonly WaitingPhoto[]): void {
    for (const photo of photos) {
      const entry = this.enter(photo, 'waiting');
      if (photo.refused !== undefined) this.tell(entry, { state: 'refused', says: photo.refused });
    }
    this.next();
  }

  /** Takes pictures in: all of them are shown at once, and each may go as soon as this device has it. */
  async add(files: readonly File[], about: AboutWaiting): Promise<void> {
    const entries = files.map((file) =>
      this.enter(
        {
          id: this.links.newId(),
          personId: this.personId,
          jobId: this.jobId,
          file,
          fileName: file.name.slice(0, 200),
          chosenAt: Date.now(),
          ...about,
        },
        'keeping',
      ),
    );
    for (const entry of entries) await this.takeIn(entry);
  }

  private async takeIn(entry: Entry): Promise<void> {
    const { size } = entry.photo.file;
    // Put away again before its turn came.
    if (!this.entries.includes(entry)) return;
    if (size === 0) this.tell(entry, { state: 'refused', says: 'The file is empty.' });
    else if (size > MOST_BYTES) await this.refuse(entry, 'Larger than 25 MB: take it smaller.');
    else {
      await this.keep(entry);
      // Put away while it was being written: nothing of it stays.
      if (!this.entries.includes(entry)) await this.links.forget(entry.photo.id).catch(() => undefined);
      else this.tell(entry, { state: 'waiting' });
    }
    this.next();
  }

  /** Stops one and forgets it, or puts a refused one out of sight. */
  cancel(id: string): void {
    const entry = this.entries.find((each) => each.photo.id === id);
    if (!entry) return;
    entry.stop?.abort();
    if (entry.item.state !== 'known') this.links.drop(entry.photo);
    this.leave(entry);
  }

  /** Goes on with whatever stopped for want of an answer. */
  retry(): void {
    for (const entry of this.entries) if (entry.item.state === 'stopped') this.tell(entry, { state: 'waiting' });
    this.next();
  }

  close(): void {
    this.closed = true;
    for (const { stop } of this.entries) stop?.abort();
  }

  private enter(photo: WaitingPhoto, state: UploadState): Entry {
    const item: UploadItem = { id: photo.id, name: photo.fileName, bytes: photo.file.size, sent: 0, state };
    const entry: Entry = { photo, item, stop: null };
    this.entries.push(entry);
    this.changed();
    return entry;
  }

  private leave(entry: Entry): void {
    this.entries = this.entries.filter((each) => each !== entry);
    void this.links.forget(entry.photo.id).catch(() => undefined);
    this.changed();
    this.next();
  }

  private next(): void {
    if (this.closed) return;
    const busy = this.entries.filter(({ stop }) => stop !== null).length;
    const ready = this.entries.filter(({ item, stop }) => item.state === 'waiting' && stop === null);
    for (const entry of ready.slice(0, Math.max(0, AT_ONCE - busy))) void this.run(entry);
  }

  private async run(entry: Entry): Promise<void> {
    const stop = new AbortController();
    entry.stop = stop;
    this.tell(entry, { state: 'sending' });
    try {
      await this.links.send(entry.photo, (sent) => this.tell(entry, { sent }), stop.signal);
      if (stop.signal.aborted) return;
      this.tell(entry, { state: 'filing', sent: entry.item.bytes });
      this.after(entry, await this.links.file(entry.photo));
    } catch (error) {
      if (stop.signal.aborted) return;
      if (error instanceof Refusal) this.after(entry, { kind: 'refused', says: error.message });
      else this.after(entry, { kind: 'no-answer' });
    } finally {
      entry.stop = null;
      this.next();
    }
  }

  private after(entry: Entry, filing: Filing): void {
    if (filing.kind === 'no-answer') {
      this.stopped(entry);
      // Without a connection the others need not find out one by one.
      if (!this.links.reached())
        this.entries.filter(({ item }) => item.state === 'waiting').forEach((each) => this.stopped(each));
    } else if (filing.kind === 'refused') void this.refuse(entry, filing.says);
    else {
      this.links.filed();
      if (filing.known) {
        void this.links.forget(entry.photo.id).catch(() => undefined);
        this.tell(entry, { state: 'known', says: 'This very picture is in the job already.' });
      } else this.leave(entry);
    }
  }

  private stopped(entry: Entry): void {
    this.tell(entry, { state: 'stopped', says: 'No answer; it goes on by itself.' });
  }

  /** Says why it cannot be taken; the picture stays on this device until the person has saved it elsewhere or removed it. */
  private async refuse(entry: Entry, says: string): Promise<void> {
    entry.photo = { ...entry.photo, refused: says };
    this.tell(entry, { state: 'refused', says });
    await this.keep(entry);
  }

  /** A browser that will not keep it still sends it, and says that nothing else has it. */
  private async keep(entry: Entry): Promise<void> {
    await this.links.keep(entry.photo).catch(() => {
      this.tell(entry, { notKept: true });
    });
  }

  /** The picture itself, to be saved elsewhere. */
  fileOf(id: string): Blob | undefined {
    return this.entries.find((each) => each.photo.id === id)?.photo.file;
  }

  private tell(entry: Entry, change: Partial<UploadItem>): void {
    const { says: _before, ...item } = entry.item;
    entry.item = { ...(change.state === undefined ? entry.item : item), ...change };
    this.changed();
  }

  private changed(): void {
    this.items = this.entries.map(({ item }) => item);
    for (const listener of this.listeners) listener();
  }
}
