/// <reference types="vite/client" />
/// <reference types="vite-plugin-pwa/client" />
/// <reference types="wicg-file-system-access" />
declare module "@fontsource-variable/*";
