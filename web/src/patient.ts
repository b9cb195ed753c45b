import { configure } from "@testing-library/react";

// On a machine with other work in hand a screen takes longer than the usual second to settle.
configure({ asyncUtilTimeout: 8000 });

// Nobody answers in a test: what it asks for it says itself.
globalThis.fetch = () => Promise.reject(new TypeError("Nobody answers."));
