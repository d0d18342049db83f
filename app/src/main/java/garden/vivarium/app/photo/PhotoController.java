package garden.vivarium.app.photo;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.app.stock.StockPlantView;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Photographs: taken in, shown, set side by side. */
@Controller
class PhotoController {

    private final Photos photos;
    private final PictureDesk desk;
    private final BatchBook batches;
    private final Stock stock;

    PhotoController(Photos photos, PictureDesk desk, BatchBook batches, Stock stock) {
        this.photos = photos;
        this.desk = desk;
        this.batches = batches;
        this.stock = stock;
    }

    @PostMapping("/batches/{code}/photos")
    String ofBatch(
            @PathVariable String code,
            @RequestParam MultipartFile file,
            @RequestParam(required = false) LocalDate takenOn,
            @RequestParam(required = false) String note,
            RedirectAttributes next) {
        return FormActions.run(next, "/batches/" + code, () -> {
            photos.ofBatch(code, UUID.randomUUID(), takenOn, note, uploaded(file));
            return Messages.text("Photo.kept");
        });
    }

    @PostMapping("/stock/{id}/photos")
    String ofStock(
            @PathVariable UUID id,
            @RequestParam MultipartFile file,
            @RequestParam(required = false) LocalDate takenOn,
            @RequestParam(required = false) String note,
            RedirectAttributes next) {
        return FormActions.run(next, "/stock/" + id, () -> {
            photos.ofStock(id, UUID.randomUUID(), takenOn, note, uploaded(file));
            return Messages.text("Photo.kept");
        });
    }

    /** What became of a photograph: which one, whether it is in the database now, and what to say of it. */
    record Answer(UUID id, boolean kept, String message) {}

    /** One that bench mode kept in the browser until there was a connection. */
    @PostMapping(path = "/batches/{code}/photos/send", produces = "application/json")
    @ResponseBody
    ResponseEntity<Answer> send(
            @PathVariable String code,
            @RequestParam MultipartFile file,
            @RequestParam UUID clientId,
            @RequestParam LocalDate takenOn,
            @RequestHeader(name = "Vivarium-Owner", required = false) String owner,
            @AuthenticationPrincipal SignedIn who) {
        if (owner != null && !owner.equals(who.owner())) {
            return ResponseEntity.status(HttpStatus.FORBIDDEN)
                    .body(new Answer(clientId, false, Messages.text("Photo.another")));
        }
        try {
            photos.ofBatch(code, clientId, takenOn, null, uploaded(file));
            return ResponseEntity.ok(new Answer(clientId, true, "kept"));
        } catch (TooManyWait later) {
            return ResponseEntity.status(HttpStatus.SERVICE_UNAVAILABLE)
                    .body(new Answer(clientId, false, later.getMessage()));
        } catch (InvalidField refused) {
            return ResponseEntity.unprocessableEntity().body(new Answer(clientId, false, refused.getMessage()));
        } catch (NotFound gone) {
            return ResponseEntity.status(HttpStatus.NOT_FOUND)
                    .body(new Answer(clientId, false, Messages.text("batch.not.here", "code", code)));
        }
    }

    /** It stays where the container put it until it is its turn to be read. */
    private static PictureDesk.File uploaded(MultipartFile file) {
        if (file.isEmpty()) {
            throw new InvalidField("file", Messages.text("Photo.none"));
        }
        return file::getBytes;
    }

    /** How many photographs wait to be read, for pages that wait with one. */
    @GetMapping(path = "/photos/waiting", produces = "application/json")
    @ResponseBody
    Map<String, Integer> waiting() {
        return Map.of("waiting", desk.waiting());
    }

    @GetMapping("/photos/{id}/large")
    ResponseEntity<byte[]> large(@PathVariable UUID id) {
        return picture(id, true);
    }

    @GetMapping("/photos/{id}/small")
    ResponseEntity<byte[]> small(@PathVariable UUID id) {
        return picture(id, false);
    }

    /** A picture never changes; only who is signed in may keep it. */
    private ResponseEntity<byte[]> picture(UUID id, boolean large) {
        return ResponseEntity.ok()
                .contentType(MediaType.IMAGE_JPEG)
                .cacheControl(CacheControl.maxAge(Duration.ofDays(30)).cachePrivate())
                .body(photos.picture(id, large));
    }

    @PostMapping("/photos/{id}/correct")
    String correct(
            @PathVariable UUID id,
            @RequestParam(required = false) LocalDate takenOn,
            @RequestParam(required = false) String note,
            RedirectAttributes next) {
        return FormActions.run(next, photos.page(id) + "/photos", () -> {
            photos.correct(id, takenOn, note);
            return Messages.text("Photo.corrected");
        });
    }

    @PostMapping("/photos/{id}/remove")
    String remove(@PathVariable UUID id, RedirectAttributes next) {
        next.addFlashAttribute("said", Messages.text("Photo.removed"));
        return "redirect:" + photos.remove(id);
    }

    @GetMapping("/batches/{code}/photos")
    String compareBatch(
            @PathVariable String code,
            @RequestParam(required = false) UUID left,
            @RequestParam(required = false) UUID right,
            Model model) {
        BatchView batch = batches.entry(code).batch();
        model.addAttribute("subject", batch.code() + " " + batch.plant());
        model.addAttribute("back", "/batches/" + code);
        return compare(photos.ofBatch(batch.id()), left, right, model);
    }

    @GetMapping("/stock/{id}/photos")
    String compareStock(
            @PathVariable UUID id,
            @RequestParam(required = false) UUID left,
            @RequestParam(required = false) UUID right,
            Model model) {
        StockPlantView plant =
                stock.find(id).orElseThrow(() -> new NotFound(Messages.text("PhotoController.no.stock.plant")));
        model.addAttribute("subject", plant.code() + " " + plant.plant().name());
        model.addAttribute("back", "/stock/" + id);
        return compare(photos.ofStock(id), left, right, model);
    }

    /** Two of them side by side: those asked for, or the first and the last. */
    private static String compare(List<PhotoView> all, UUID left, UUID right, Model model) {
        model.addAttribute("photos", all);
        if (!all.isEmpty()) {
            PhotoView first = chosen(all, left, all.get(0));
            PhotoView last = chosen(all, right, all.get(all.size() - 1));
            model.addAttribute("left", first);
            model.addAttribute("right", last);
            model.addAttribute("compared", List.of(first.id(), last.id()));
        }
        return "photo/compare";
    }

    private static PhotoView chosen(List<PhotoView> all, UUID id, PhotoView otherwise) {
        return all.stream().filter(p -> p.id().equals(id)).findFirst().orElse(otherwise);
    }
}
