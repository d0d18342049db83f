// Says how many pieces a trial takes that tells two rates apart, while they are typed; the sentence is the server's.

export function start(sentence) {
  const [rateA, rateB, perArm, third, fourth] = ["rateA", "rateB", "perArm", "c", "d"].map((id) => document.getElementById(id));
  let asked = 0;
  const ask = async () => {
    const mine = ++asked;
    const [a, b, pieces] = [rateA, rateB, perArm].map((f) => encodeURIComponent(f.value));
    const arms = 2 + [third, fourth].filter((f) => f.value.trim()).length;
    const answer = await fetch(`/technique/trials/size?rateA=${a}&rateB=${b}&arms=${arms}&perArm=${pieces}`);
    const text = await answer.text();
    if (answer.ok && mine === asked) {
      sentence.textContent = text;
    }
  };
  // A form that was refused comes back with what was typed.
  if (perArm.value || third.value || fourth.value) {
    ask();
  }
  [rateA, rateB, perArm, third, fourth].forEach((f) => f.addEventListener("input", ask));
}
