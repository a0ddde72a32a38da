// Whoever may only look sees what could be changed, and cannot reach it; the server refuses it in any case.
const OWN = ['/sign-out'];

const rest = (root) => root.querySelectorAll('main form[method="post"]').forEach((form) => {
  if (OWN.includes(form.getAttribute('action'))) return;
  form.inert = true;
  if (form.id) root.querySelectorAll(`[form="${form.id}"]`).forEach((control) => { control.inert = true; });
});

const lookOnly = (root) => {
  if (!('lookOnly' in root.body.dataset)) return;
  rest(root);
  new MutationObserver(() => rest(root)).observe(root.body, { childList: true, subtree: true });
};

export { lookOnly };
