import "@fontsource-variable/literata/opsz.css";
import "@fontsource-variable/literata/opsz-italic.css";
import "@fontsource-variable/source-sans-3/index.css";
import "@fontsource-variable/spline-sans-mono/index.css";
import "../styles.css";
import { StrictMode } from "react";
import { createRoot } from "react-dom/client";
import { PhonePage } from "./page";

createRoot(document.getElementById("root") as HTMLElement).render(
  <StrictMode>
    <PhonePage />
  </StrictMode>,
);
