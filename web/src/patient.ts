import { configure } from "@testing-library/react";

// On a machine with other work in hand a screen takes longer than the usual second to settle.
configure({ asyncUtilTimeout: 8000 });
