// Says how many pieces a trial of two rates takes, while they are typed; the sentence is the server's.

export function start(sentence) {
  const fields = [document.getElementById("rateA"), document.getElementById("rateB")];
  let asked = 0;
  const ask = async () => {
    const mine = ++asked;
    const [a, b] = fields.map((f) => encodeURIComponent(f.value));
    const answer = await fetch(`/technique/trials/size?rateA=${a}&rateB=${b}`);
    const text = await answer.text();
    if (answer.ok && mine === asked) {
      sentence.textContent = text;
    }
  };
  fields.forEach((f) => f.addEventListener("input", ask));
}
