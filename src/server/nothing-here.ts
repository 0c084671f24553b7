import type { APIRoute } from 'astro';
import { CoreError } from '../core/error.ts';
import { problemResponse } from './problem.ts';

/** The answer of addresses where there is nothing: unknown ones of the interface for programs, and the framework's own. */
export const ALL: APIRoute = () => problemResponse(new CoreError('request/missing'));
export const GET = ALL;
