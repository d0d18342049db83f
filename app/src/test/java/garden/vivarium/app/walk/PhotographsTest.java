package garden.vivarium.app.walk;

import static org.assertj.core.api.Assertions.assertThat;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.Growing;
import garden.vivarium.app.photo.PhotoView;
import garden.vivarium.app.photo.Photos;
import garden.vivarium.app.photo.Pictures;
import garden.vivarium.app.stock.StockPlantView;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.openqa.selenium.By;
import org.springframework.beans.factory.annotation.Autowired;

/** Photographs in the browser: made smaller there, refused by name, kept without a connection, two days side by side. */
class PhotographsTest extends AtThePages {

    @TempDir
    private Path folder;

    @Autowired
    private Photos photos;

    @Test
    void photographsAreTakenInShownAndSetSideBySide() throws IOException {
        StockPlantView fuchsia = in(() -> Growing.stockPlant(stock, "Fuchsia ‘Skerry Lantern’"));
        BatchView tray = in(() -> Growing.stuck(batches, guide, fuchsia, 24, TODAY.minusDays(20)));

        browser.open("/batches/" + tray.code());
        add("page.jpg", "<html><script>alert(1)</script></html>".getBytes(StandardCharsets.UTF_8));
        browser.untilText("main .refused", "This is a drawing or a page. JPEG, PNG and WebP are taken.");
        assertThat(in(() -> photos.ofBatch(tray.id()))).isEmpty();

        add("tray.png", Pictures.file("png", 2400, 1200));
        browser.untilText("main .said", "The photograph is kept.");
        assertThat(in(() -> photos.ofBatch(tray.id())))
                .singleElement()
                .extracting(PhotoView::width, PhotoView::height)
                .containsExactly(1600, 800);
        browser.script("document.getElementById('photo-day').value = '2026-06-01'");
        add("tray.webp", Pictures.WEBP);
        browser.until(d -> browser.count(".photo-strip li") == 2);
        assertThat(browser.texts(".photo-strip li")).containsExactly("Mon 1 Jun", "Mon 15 Jun");

        browser.follow("Two days side by side");
        browser.untilText("main h1", tray.code());
        browser.until(d -> Boolean.TRUE.equals(browser.script(
                "return [...document.querySelectorAll('figure img')].every((i) => i.complete && i.naturalWidth > 0)")));
        browser.press("[data-over]");
        assertThat(browser.script("return document.querySelectorAll('figure img')[1].style.clipPath"))
                .isEqualTo("inset(0px 0px 0px 50%)");
        assertThat(browser.barriers()).isEmpty();
        assertThat(browser.complaints()).isEmpty();
    }

    @Test
    void oneTakenAtACheckWithoutAConnectionIsSentOnceThereIsOne() throws IOException {
        StockPlantView sage = in(() -> Growing.stockPlant(stock, "Salvia ‘Tern’"));
        BatchView tray = in(() -> Growing.stuck(batches, guide, sage, 6, TODAY.minusDays(9)));
        browser.open("/batches/" + tray.code() + "/check");
        browser.sendingBlocked(true);
        browser.press("details.drawer summary");
        browser.upload("check-photo", file("leaf.jpg", Pictures.file("jpeg", 300, 200)));
        browser.untilText("[data-photos]", "1 photograph waits to be sent.");
        browser.complaints();

        browser.open("/round");
        browser.untilText("[data-waits]", "1 photograph waits to be sent");
        browser.complaints();
        browser.sendingBlocked(false);
        browser.open("/benches");
        browser.until(d -> in(() -> photos.ofBatch(tray.id())).size() == 1);
        browser.open("/round");
        browser.until(d -> !d.findElement(By.cssSelector("[data-waits]")).isDisplayed());
        assertThat(in(() -> photos.ofBatch(tray.id()))).hasSize(1);
    }

    private void add(String name, byte[] content) throws IOException {
        if (!Boolean.TRUE.equals(
                browser.script("return document.querySelector('[data-photo-form]').closest('details').open"))) {
            browser.script("document.querySelector('[data-photo-form]').closest('details').open = true");
        }
        browser.upload("photo-file", file(name, content));
        // The browser makes it smaller first.
        browser.until(
                d -> Boolean.TRUE.equals(
                        browser.script(
                                "const f = document.getElementById('photo-file').files[0]; return f.name === 'photograph.jpg' || f.size < 100")));
        browser.press("[data-photo-form] button");
    }

    private Path file(String name, byte[] content) throws IOException {
        return Files.write(folder.resolve(name), content);
    }
}
