/**
 * Chooses what is called so, whatever stands behind its name: a list of few is the browser's own, one of many is
 * searched by words, and how many there are depends on the data.
 * @param {import('@playwright/test').Locator} list
 * @param {string} name the beginning or another part of its words
 * @returns {Promise<void>}
 */
export async function choose(list, name) {
  if ((await list.getAttribute('role')) === 'combobox') {
    // What searches comes with the first touch.
    await list.focus()
    await list.and(list.page().locator('[data-headlessui-state]')).waitFor()
    await list.fill(name)
    await list.page().getByRole('listbox').getByRole('option', { name }).first().click()
  } else {
    const option = list.locator(`option[value="${name}"]`).or(list.locator('option').filter({ hasText: name }))
    await list.selectOption({ label: (await option.first().innerText()).trim() })
  }
}

/**
 * Makes a word of a sentence another.
 * @param {import('@playwright/test').Page | import('@playwright/test').Locator} place
 * @param {string} label what the word says
 * @param {string} name the beginning or another part of what it is to be
 * @returns {Promise<void>}
 */
export async function chooseWord(place, label, name) {
  await place.getByRole('button', { name: `${label}: ` }).click()
  await choose(place.getByRole('combobox', { name: label, exact: true }), name)
}
