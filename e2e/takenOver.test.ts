import { openDemonstration, waitForWords } from "./application.js";
import { usedApplication } from "./usedApplication.js";

const app = usedApplication();

test("a tab whose book is taken over by a newer version lets go of it and says so", async () => {
  const { page } = app();
  await openDemonstration(app());
  await page.evaluate(async () => {
    const databases = await indexedDB.databases();
    const name = databases.find((one) => one.name?.startsWith("yonderfell-book-"))?.name ?? "";
    indexedDB.open(name, 1000);
  });
  await waitForWords(
    page,
    "A newer version of the program has taken the book over in another tab.",
  );
});
