package garden.vivarium.app.exchange;

import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Records in: choose a file, say what its columns and words are, mend its lines, keep it; and take it back. */
@Controller
@RequestMapping("/records")
class RecordsController {

    private static final int LONGEST_NAME = 200;
    private static final String OF = "redirect:/records/";

    private final Records records;
    private final RecordsWork work;
    private final FileWords words;

    RecordsController(Records records, RecordsWork work, FileWords words) {
        this.records = records;
        this.work = work;
        this.words = words;
    }

    @GetMapping
    String choose(@RequestParam(required = false) String kind, Model model) {
        model.addAttribute("kinds", records.kinds());
        model.addAttribute("kind", kind == null ? "history" : kind);
        model.addAttribute("last", records.last());
        return "exchange/records";
    }

    @PostMapping
    String receive(@RequestParam String kind, @RequestParam MultipartFile file, Model model) throws IOException {
        if (file.isEmpty()) {
            model.addAttribute("wrong", "Choose a file first; it was empty or none was chosen.");
            return choose(kind, model);
        }
        String name = Optional.ofNullable(file.getOriginalFilename())
                .filter(n -> !n.isBlank())
                .orElse("file");
        UUID id = records.receive(kind, name.substring(0, Math.min(LONGEST_NAME, name.length())), file.getBytes());
        work.look(id);
        return OF + id;
    }

    @GetMapping("/{id}")
    String page(@PathVariable UUID id, Model model) {
        ImportView file = work.found(id);
        model.addAttribute("file", file);
        RecordKind kind = records.kind(file.kind());
        model.addAttribute("kind", kind);
        model.addAttribute("f", file.findings());
        if (!file.isBusy() && file.findings() != null) {
            model.addAttribute("choices", choices(file.findings(), kind.columns()));
        }
        return "exchange/file";
    }

    /** By column, what its words can be said to mean. */
    private Map<String, List<FileWords.Choice>> choices(Findings found, List<Column> columns) {
        return columns.stream()
                .filter(c -> found.words().stream().anyMatch(w -> w.column().equals(c.name()))
                        || found.missing().stream().anyMatch(m -> m.column().equals(c.name())))
                .collect(Collectors.toMap(Column::name, c -> words.choices(c.sort()), (a, b) -> a, LinkedHashMap::new));
    }

    /** How far it is, for the page that waits. */
    @GetMapping("/{id}/progress")
    @ResponseBody
    Map<String, Object> progress(@PathVariable UUID id) {
        ImportView file = work.found(id);
        return Map.of("busy", file.isBusy(), "percent", file.percent());
    }

    @PostMapping("/{id}")
    String say(@PathVariable UUID id, @RequestParam MultiValueMap<String, String> typed) {
        ImportView file = records.find(id);
        if (file.findings() != null && !file.isBusy()) {
            records.choose(
                    id,
                    ImportForm.read(
                            typed,
                            file.choices(),
                            file.findings(),
                            records.kind(file.kind()).columns()));
            work.look(id);
        }
        return OF + id;
    }

    @PostMapping("/{id}/keep")
    String keep(@PathVariable UUID id, RedirectAttributes next) {
        ImportView file = records.find(id);
        if (file.state() != ImportState.ASKING
                || file.findings() == null
                || !file.findings().isGood()) {
            next.addFlashAttribute("refused", Messages.text("Records.changed"));
            return OF + id;
        }
        work.keep(id);
        return OF + id;
    }

    @PostMapping("/{id}/back")
    String takeBack(@PathVariable UUID id) {
        if (records.find(id).state() == ImportState.KEPT) {
            work.takeBack(id);
        }
        return OF + id;
    }

    @PostMapping("/{id}/drop")
    String drop(@PathVariable UUID id) {
        records.drop(id);
        return "redirect:/records";
    }

    /** A file as it may look, or only its header. */
    @GetMapping("/files/{name}")
    ResponseEntity<Resource> sample(@PathVariable String name) {
        Resource file = new ClassPathResource("exchange/" + name);
        boolean known = name.matches("(sample|template)-[a-z]+\\.csv") && file.exists();
        if (!known) {
            throw new NotFound(Messages.text("RecordsController.no.such.file"));
        }
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "csv"))
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment().filename(name).build().toString())
                .body(file);
    }
}
