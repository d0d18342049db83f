package garden.vivarium.app.photo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.people.AtANursery;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.Today;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Photographs are kept once, in order of their days, in their nursery alone; what is refused leaves nothing. */
class PhotosTest extends AtANursery {

    @Autowired
    private Photos photos;

    @Autowired
    private PhotoFileRepository files;

    @Autowired
    private PhotoRepository photoRows;

    @Autowired
    private Today today;

    @Test
    void sentTwiceItIsOnePhotographAndTheFirstDayStandsFirst() {
        BatchView tray = running(24, 20);
        UUID id = UUID.randomUUID();
        byte[] file = Pictures.file("png", 80, 60);

        PhotoView late = in(() -> photos.ofBatch(tray.code(), id, TODAY, "  tips ", file));
        PhotoView again = in(() -> photos.ofBatch(tray.code(), id, TODAY, null, file));
        PhotoView early = in(() -> photos.ofBatch(tray.code(), UUID.randomUUID(), TODAY.minusDays(9), null, file));

        assertThat(again).isEqualTo(late);
        assertThat(late.note()).isEqualTo("tips");
        assertThat(in(() -> photos.ofBatch(tray.id()))).containsExactly(early, late);
        run(() -> photos.correct(late.id(), TODAY.minusDays(12), "side"));
        assertThat(in(() -> photos.ofBatch(tray.id())))
                .extracting(PhotoView::takenOn, PhotoView::note)
                .containsExactly(tuple(TODAY.minusDays(12), "side"), tuple(TODAY.minusDays(9), null));
        assertThat(in(() -> photos.picture(late.id(), false))).startsWith(0xFF, 0xD8);
    }

    @Test
    void whatIsRefusedLeavesNothing() {
        BatchView tray = running(24, 20);
        long before = kept();

        assertThatThrownBy(() -> run(() ->
                        photos.ofBatch(tray.code(), UUID.randomUUID(), TODAY, null, Pictures.bomb(30_000, 30_000))))
                .isInstanceOf(InvalidField.class);
        assertThatThrownBy(() -> run(() -> photos.ofBatch(
                        tray.code(), UUID.randomUUID(), TODAY.plusDays(1), null, Pictures.file("png", 80, 60))))
                .isInstanceOf(InvalidField.class);

        assertThat(in(() -> photos.ofBatch(tray.id()))).isEmpty();
        assertThat(kept()).isEqualTo(before);
    }

    @Test
    void aNurseryKeepsSoManyAndNoMore() {
        BatchView tray = running(24, 20);
        Photos two = new Photos(
                photoRows, files, book, stock, new Album(photoRows, files, current, today, 2), new PictureDesk());
        for (int i = 0; i < 2; i++) {
            run(() -> two.ofBatch(tray.code(), UUID.randomUUID(), TODAY, null, Pictures.file("jpeg", 80, 60)));
        }
        assertThatThrownBy(() -> run(
                        () -> two.ofBatch(tray.code(), UUID.randomUUID(), TODAY, null, Pictures.file("jpeg", 80, 60))))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("all that are kept");
        assertThat(kept()).isEqualTo(2);
    }

    @Test
    void oneThatIsTakenAwayIsGoneAndNobodyElseEverSawIt() {
        PhotoView photo =
                in(() -> photos.ofStock(fuchsia.id(), UUID.randomUUID(), TODAY, null, Pictures.file("jpeg", 80, 60)));
        assertThatThrownBy(() -> elsewhere(() -> photos.picture(photo.id(), true)))
                .isInstanceOf(NotFound.class);

        assertThat(in(() -> photos.remove(photo.id()))).isEqualTo("/stock/" + fuchsia.id());

        assertThat(in(() -> photos.ofStock(fuchsia.id()))).isEmpty();
        assertThatThrownBy(() -> in(() -> photos.picture(photo.id(), true))).isInstanceOf(NotFound.class);
    }

    private long kept() {
        return in(() -> files.findAll().size());
    }
}
