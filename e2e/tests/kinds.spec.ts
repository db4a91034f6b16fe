import { expect, nextTo, pickKind, seriousFaults, test, toView } from '../burrow';

test('any kind of ant: found by three letters, known by her genus alone, told when she cannot found alone', async ({
  page,
  burrow,
}) => {
  await page.goto(`${burrow.url}/queens/new`);
  await page.getByRole('radio', { name: 'Caught walking' }).click();
  await nextTo(page, 'Is she healthy?');
  await nextTo(page, 'What is she?');
  const picker = page.getByRole('group', { name: 'Species', exact: true });
  const search = picker.getByLabel('Search by Latin, former or everyday name');

  // what nobody keeps is said to be, with a way on
  await search.fill('griffin');
  await expect(picker.getByText(/Nothing is named like “griffin”/)).toBeVisible();
  await expect(picker.getByRole('radio')).toHaveCount(3);

  // a parasite gets no plain plan, and says so before she is taken in
  await search.fill('las ful');
  await picker.getByRole('radio', { name: /^Lasius fuliginosus,.*needs a host colony/ }).click();
  await expect(page.getByText(/no plain founding plan applies/)).toBeVisible();
  expect(await seriousFaults(page)).toEqual([]);

  // one that leaves with workers is no parasite
  await pickKind(page, 'Lasius neglectus');
  await expect(page.getByText(/Queens of her kind leave with workers of their own/)).toBeVisible();
  await expect(page.getByText(/forbidden in many countries. Ask your authority first/)).toBeVisible();

  // only the genus is known: what differs in it, and what would tell
  await pickKind(page, 'Lasius');
  await expect(page.getByText(/Most garden ants found without food.*smells of lemon/)).toBeVisible();
  // a former name leads to today's, and stays in sight when the search is empty again
  await search.fill('camponotus ligniperdus');
  await picker.getByRole('radio', { name: /^Camponotus ligniperda, Camponotus ligniperdus/ }).click();
  await search.fill('');
  await expect(picker.getByRole('radio', { name: /^Camponotus ligniperda,/, checked: true })).toBeVisible();

  await pickKind(page, 'Lasius');
  await nextTo(page, 'Which tube, and how full?');
  await nextTo(page, 'Where does she stand?');
  await page.getByRole('textbox', { name: 'Name of the place' }).fill('Cupboard');
  await page.getByRole('textbox', { name: 'Temperature, °C' }).fill('24');
  await page.getByRole('button', { name: 'Take her in' }).click();
  await expect(page.getByRole('heading', { name: /How is . doing\?/ })).toBeVisible();
  await toView(page, 'Why');
  await page.getByRole('button', { name: /Says who/ }).click();
  await expect(page.getByText(/^of her genus; prior: /).first()).toBeVisible();

  // named more closely later
  await page.getByRole('button', { name: 'What kind of founder is she?' }).click();
  await page.getByRole('button', { name: /Change species/ }).click();
  await pickKind(page, 'Lasius niger');
  await page.getByRole('button', { name: 'Keep this name' }).click();
  await expect
    .poll(async () => (await burrow.api<{ queens: { id: string }[] }>('/queens')).queens.length)
    .toBe(1);
  await expect(page.getByText('Lasius niger').first()).toBeVisible();
});
