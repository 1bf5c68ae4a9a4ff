// Every document lives in the browser, so there is nothing a server could draw.
export const ssr = false;
