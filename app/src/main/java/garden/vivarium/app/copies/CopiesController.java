package garden.vivarium.app.copies;

import garden.vivarium.app.people.Leaving;
import garden.vivarium.app.people.OwnPassword;
import garden.vivarium.app.people.WorkplaceSwitch;
import garden.vivarium.app.platform.FormActions;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.Today;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Copies, for owners: everything out, everything in, and erased. */
@Controller
@RequestMapping("/copies")
class CopiesController {

    private static final long LARGEST = 2_000_000_000;
    private static final MediaType ZIP = MediaType.parseMediaType("application/zip");

    private final Copies copies;
    private final CopyReader reader;
    private final Leaving leaving;
    private final OwnPassword own;
    private final WorkplaceSwitch here;
    private final Today today;

    CopiesController(
            Copies copies, CopyReader reader, Leaving leaving, OwnPassword own, WorkplaceSwitch here, Today today) {
        this.own = own;
        this.copies = copies;
        this.reader = reader;
        this.leaving = leaving;
        this.here = here;
        this.today = today;
    }

    @GetMapping
    String page(Model model) {
        model.addAttribute("made", copies.areMade());
        model.addAttribute("kept", copies.kept());
        model.addAttribute("name", leaving.name());
        return "copies/copies";
    }

    /** Written as it is sent, so that no size is too large. */
    @GetMapping("/now.zip")
    void now(HttpServletResponse response) throws IOException {
        response.setContentType(ZIP.toString());
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"vivarium-%s.zip\"".formatted(today.date()));
        copies.write(response.getOutputStream());
    }

    @GetMapping("/{day}.zip")
    ResponseEntity<Resource> kept(@PathVariable LocalDate day) {
        return ResponseEntity.ok()
                .contentType(ZIP)
                .header(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"vivarium-%s.zip\"".formatted(day))
                .body(new FileSystemResource(copies.of(day)));
    }

    /** A nursery is restored from a copy that is sent as a form's file: up to 8 MB, as every form. */
    @PostMapping(path = "/restore", consumes = MediaType.MULTIPART_FORM_DATA_VALUE)
    String restore(
            @RequestParam(required = false) MultipartFile file,
            HttpServletRequest request,
            HttpServletResponse response,
            RedirectAttributes next) {
        return FormActions.run(next, "/copies", () -> {
            if (file == null || file.isEmpty()) {
                throw new InvalidField("file", Messages.text("Copies.no.file"));
            }
            try (InputStream in = file.getInputStream()) {
                return restored(in, request, response);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
    }

    /** The same of any size, sent as it is: it is read only once it is known who sends it. */
    @PostMapping(path = "/restore", consumes = "application/zip")
    ResponseEntity<Map<String, String>> restoreWhole(HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        try {
            return ResponseEntity.ok(Map.of("said", restored(request.getInputStream(), request, response)));
        } catch (InvalidField wrong) {
            return ResponseEntity.badRequest().body(Map.of("message", wrong.getMessage()));
        }
    }

    private String restored(InputStream from, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        Path kept = Files.createTempFile("copy", ".zip");
        try {
            try (OutputStream to = Files.newOutputStream(kept)) {
                if (copied(from, to) > LARGEST) {
                    throw new InvalidField("file", Messages.text("Copies.too.large"));
                }
            }
            UUID restored = reader.restore(kept);
            leaving.owns(restored);
            here.goTo(restored, request, response);
            return Messages.text("Copies.restored", "name", leaving.name());
        } catch (CopyRefused e) {
            throw new InvalidField("file", e.getMessage());
        } finally {
            Files.delete(kept);
        }
    }

    /** Not further than what is too large. */
    private static long copied(InputStream from, OutputStream to) throws IOException {
        byte[] some = new byte[64 * 1024];
        long copied = 0;
        for (int n = from.read(some); n >= 0 && copied <= LARGEST; n = from.read(some)) {
            to.write(some, 0, n);
            copied += n;
        }
        return copied;
    }

    /** The nursery is erased, once its name and their password were typed. */
    @PostMapping("/erase")
    String erase(
            @RequestParam(required = false) String name,
            @RequestParam(required = false) String password,
            HttpServletRequest request,
            HttpServletResponse response,
            RedirectAttributes next)
            throws ServletException {
        Optional<UUID> onward;
        try {
            own.check("password", password, request.getSession().getId());
            onward =
                    leaving.erase(name == null ? "" : name, request.getSession().getId());
        } catch (InvalidField wrong) {
            next.addFlashAttribute("refused", wrong.getMessage());
            return "redirect:/copies";
        }
        if (onward.isPresent()) {
            here.goTo(onward.get(), request, response);
            return "redirect:/round";
        }
        request.logout();
        return "redirect:/sign-in?out";
    }
}
