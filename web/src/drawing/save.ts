/** The tokens of the sheet a drawing uses, as colours that stand on their own. */
function settled(markup: string): string {
  const style = getComputedStyle(document.documentElement);
  return markup.replace(/var\((--[\w-]+)\)/g, (_, name: string) => style.getPropertyValue(name).trim());
}

/** A drawing as a document of its own: with its title, its scale and the colours of the sheet. */
export function standalone(svg: SVGSVGElement, title: string, scale: string): string {
  const copy = svg.cloneNode(true) as SVGSVGElement;
  const style = getComputedStyle(svg);
  copy.setAttribute("xmlns", "http://www.w3.org/2000/svg");
  copy.setAttribute("color", style.color);
  copy.setAttribute("font-family", style.fontFamily.replaceAll('"', "'"));
  copy.setAttribute("font-size", "13");
  for (const e of copy.querySelectorAll("foreignObject")) {
    const text = document.createElementNS("http://www.w3.org/2000/svg", "text");
    const [x, y, wide] = ["x", "y", "width"].map((a) => Number(e.getAttribute(a)));
    text.setAttribute("x", String((x ?? 0) + (wide ?? 0) / 2));
    text.setAttribute("y", String((y ?? 0) + 14));
    text.setAttribute("text-anchor", "middle");
    text.setAttribute("fill", "currentColor");
    text.textContent = e.textContent;
    e.replaceWith(text);
  }
  for (const e of copy.querySelectorAll("text"))
    if (!e.getAttribute("fill")) e.setAttribute("fill", "currentColor");
  const sheet = document.createElementNS("http://www.w3.org/2000/svg", "rect");
  sheet.setAttribute("width", "100%");
  sheet.setAttribute("height", "100%");
  sheet.setAttribute("fill", getComputedStyle(document.documentElement).backgroundColor);
  copy.prepend(sheet);
  const named = document.createElementNS("http://www.w3.org/2000/svg", "title");
  named.textContent = `${title}, ${scale}`;
  copy.prepend(named);
  return settled(new XMLSerializer().serializeToString(copy));
}

/** Hands the drawing to the browser to keep, as SVG or as a PNG of twice its size. */
export async function saveDrawing(
  svg: SVGSVGElement | null,
  title: string,
  scale: string,
  as: "svg" | "png",
) {
  if (!svg) return;
  const markup = standalone(svg, title, scale);
  const file = `${title.toLowerCase().replace(/[^\p{L}\d]+/gu, "-")}.${as}`;
  if (as === "svg") keep(new Blob([markup], { type: "image/svg+xml" }), file);
  else keep(await painted(markup, svg.clientWidth || 836, svg.clientHeight || 266), file);
}

async function painted(markup: string, wide: number, high: number): Promise<Blob> {
  const image = new Image();
  image.src = `data:image/svg+xml;charset=utf-8,${encodeURIComponent(markup)}`;
  await image.decode();
  const canvas = document.createElement("canvas");
  canvas.width = 2 * wide;
  canvas.height = 2 * high;
  canvas.getContext("2d")?.drawImage(image, 0, 0, canvas.width, canvas.height);
  return new Promise((done, failed) =>
    canvas.toBlob(
      (blob) => (blob ? done(blob) : failed(new Error("The drawing could not be painted."))),
      "image/png",
    ),
  );
}

function keep(blob: Blob, name: string) {
  const link = document.createElement("a");
  link.href = URL.createObjectURL(blob);
  link.download = name;
  link.click();
  setTimeout(() => URL.revokeObjectURL(link.href), 1000);
}
