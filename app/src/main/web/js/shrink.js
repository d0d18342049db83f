// Makes a photograph smaller and upright, without what a camera writes beside it.
const LONGEST = 1600;

/** A smaller JPEG of a file; nothing where the browser cannot read it, so that the server may say what is wrong with it. */
export async function shrunk(file) {
  try {
    const picture = await createImageBitmap(file, { imageOrientation: "from-image" });
    const scale = Math.min(1, LONGEST / Math.max(picture.width, picture.height));
    const canvas = document.createElement("canvas");
    canvas.width = Math.max(1, Math.round(picture.width * scale));
    canvas.height = Math.max(1, Math.round(picture.height * scale));
    const ink = canvas.getContext("2d");
    ink.fillStyle = "#fff";
    ink.fillRect(0, 0, canvas.width, canvas.height);
    ink.drawImage(picture, 0, 0, canvas.width, canvas.height);
    picture.close();
    return await new Promise((done) => { canvas.toBlob(done, "image/jpeg", 0.85); });
  } catch {
    return null;
  }
}
