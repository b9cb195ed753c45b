import { useQuery } from "@tanstack/react-query";
import { useId, useState } from "react";
import { useParams } from "react-router";
import { api } from "../../../api/client";
import { pictures } from "../../../api/papers";
import { Select } from "../../../ui/select";

/** What a tang is read from, the closest picture first. */
const ROLES = ["tang", "mark-side", "pile-side"];
const BLUR_PX = 9;

/** A photograph beside the letters: contrast, light from the side and mirror bring a worn stamp out. */
export function TangPhoto() {
  const { id = "" } = useParams();
  const photos = useQuery({ queryKey: ["photos", id], queryFn: () => api.photos(id) });
  const [chosen, setChosen] = useState<string>();
  const [light, setLight] = useState(AS_TAKEN);
  const usable = pictures(photos.data)
    .filter((p) => ROLES.includes(p.role))
    .sort((a, b) => ROLES.indexOf(a.role) - ROLES.indexOf(b.role));
  const shown = usable.find((p) => p.id === chosen) ?? usable[0];
  if (!shown) return null;
  return (
    <details className="no-print mt-1">
      <summary className="min-h-6 cursor-pointer text-ink2">Read it from a photograph</summary>
      <div className="mt-1 grid grid-cols-2 gap-x-4 gap-y-1">
        <Select
          aria-label="Photograph to read from"
          value={shown.id}
          nothing="the closest"
          options={usable.map((p) => ({ id: p.id, label: p.fileName }))}
          onChange={setChosen}
        />
        <Sliders light={light} set={(now) => setLight({ ...light, ...now })} />
      </div>
      <Lit photo={shown} light={light} />
    </details>
  );
}

/** How a photograph is lit anew on the screen. */
interface Light {
  contrast: number;
  raking: number;
  close: number;
  mirror: boolean;
}

const AS_TAKEN: Light = { contrast: 1, raking: 0, close: 1, mirror: false };

function Sliders({ light, set }: { light: Light; set: (now: Partial<Light>) => void }) {
  const { contrast, raking, close, mirror } = light;
  return (
    <>
      <label className="flex items-center gap-2">
        <input type="checkbox" checked={mirror} onChange={(e) => set({ mirror: e.target.checked })} />
        Mirror
      </label>
      <Slider
        label="Contrast"
        least={1}
        most={4}
        value={contrast}
        onChange={(now) => set({ contrast: now })}
      />
      <Slider
        label="Light from the side"
        least={0}
        most={4}
        value={raking}
        onChange={(now) => set({ raking: now })}
      />
      <Slider label="Closer" least={1} most={6} value={close} onChange={(now) => set({ close: now })} />
    </>
  );
}

function Lit({ photo, light }: { photo: { id: string; fileName: string }; light: Light }) {
  const filter = useId();
  return (
    <>
      <svg width="0" height="0" aria-hidden="true" className="absolute">
        <Relief id={filter} light={light} />
      </svg>
      <section
        className="mt-1 max-h-64 overflow-auto border border-edge"
        aria-label="The photograph"
        // biome-ignore lint/a11y/noNoninteractiveTabindex: the keyboard moves what is larger than its place
        tabIndex={0}
      >
        <img
          src={`/api/photos/${photo.id}/view`}
          alt={`Photograph ${photo.fileName}`}
          className="block max-w-none"
          style={{
            width: `${light.close * 100}%`,
            filter: `url(#${filter})`,
            transform: light.mirror ? "scaleX(-1)" : undefined,
          }}
        />
      </section>
    </>
  );
}

/** What stands out of its surroundings, as light along the steel shows it. */
function Relief({ id, light: { contrast, raking } }: { id: string; light: Light }) {
  return (
    <filter id={id} colorInterpolationFilters="sRGB" x="0" y="0" width="1" height="1">
      <feColorMatrix type="saturate" values={raking > 0 ? "0" : "1"} result="plain" />
      <feGaussianBlur stdDeviation={BLUR_PX} result="ground" />
      <feComposite
        in="plain"
        in2="ground"
        operator="arithmetic"
        k1="0"
        k2={1 + raking}
        k3={-raking}
        k4="0"
        result="relief"
      />
      <feComponentTransfer>
        {["R", "G", "B"].map((c) => {
          const Part = `feFunc${c}` as "feFuncR";
          return <Part key={c} type="linear" slope={contrast} intercept={(1 - contrast) / 2} />;
        })}
      </feComponentTransfer>
    </filter>
  );
}

function Slider({
  label,
  least,
  most,
  value,
  onChange,
}: {
  label: string;
  least: number;
  most: number;
  value: number;
  onChange: (value: number) => void;
}) {
  return (
    <label className="flex flex-col text-[0.8125rem] text-ink2">
      {label}
      <input
        type="range"
        min={least}
        max={most}
        step={0.1}
        value={value}
        className="w-full accent-blue"
        onChange={(e) => onChange(Number(e.target.value))}
      />
    </label>
  );
}
