/** The browser of the end-to-end tests: CHROMIUM, or what is installed. */
export function browserPath(): string;
