import type { DefaultContextExtends, DefaultStateExtends } from 'koa';

declare module 'koa' {
  interface Request {
    /** What was read of the body, as JSON. */
    body?: unknown;
    /** The body as it came, where it carries an airframe: it is read apart. */
    text?: string;
  }
}

/** What a session holds. */
export interface SessionBody {
  accountId?: string;
  regenerate(callback?: () => void): Promise<void>;
}

/** What the application knows of a request beside the request itself. */
export interface AppState extends DefaultStateExtends {
  /** The account that is signed in. */
  accountId?: string;
}

/** What the application adds to a request's context. */
export interface AppContext extends DefaultContextExtends {
  session: SessionBody | null;
  /** False for what is sent piece by piece. */
  compress?: boolean;
}
