// What is answered of a fault is asked alike of every one: the page brings it once, and each row gets its own.

/**
 * @param {HTMLElement} row of a fault
 * @param {HTMLTemplateElement} template radio names, ids and what they are for become the fault's own
 */
function furnish(row, template) {
  const controls = template.content.cloneNode(true);
  const own = (name) => `${name}-${row.dataset.fault}`;
  for (const input of controls.querySelectorAll('input[type=radio]')) input.name = own(input.name);
  for (const part of controls.querySelectorAll('[id]')) part.id = own(part.id);
  for (const label of controls.querySelectorAll('label[for]')) label.htmlFor = own(label.htmlFor);
  for (const name of controls.querySelectorAll('[data-name]'))
    name.textContent = row.querySelector('.name').textContent;
  row.querySelector('.details').append(controls);
}

/** @returns {HTMLElement[]} the rows of the sheet's faults, each with its controls */
export function faultRows(root) {
  const template = root.querySelector('[data-controls]');
  const rows = [...root.querySelectorAll('.fault')];
  for (const row of rows) furnish(row, template);
  return rows;
}
