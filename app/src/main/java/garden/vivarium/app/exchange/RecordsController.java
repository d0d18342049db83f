package garden.vivarium.app.exchange;

import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Records in: choose a file, look it through, keep it. */
@Controller
@RequestMapping("/records")
class RecordsController {

    private final Records records;

    RecordsController(Records records) {
        this.records = records;
    }

    @GetMapping
    String choose() {
        return "exchange/records";
    }

    @PostMapping("/preview")
    String preview(@RequestParam String kind, @RequestParam MultipartFile file, Model model) throws IOException {
        String name = Optional.ofNullable(file.getOriginalFilename())
                .filter(n -> !n.isBlank())
                .orElse("file");
        if (file.isEmpty()) {
            model.addAttribute("wrong", "Choose a file first; it was empty or none was chosen.");
            return "exchange/records";
        }
        try {
            String text = StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(file.getBytes()))
                    .toString();
            model.addAttribute("preview", records.preview(kind, name.substring(0, Math.min(200, name.length())), text));
            return "exchange/preview";
        } catch (CharacterCodingException e) {
            model.addAttribute("wrong", "The file is not UTF-8 text. Save it as “CSV UTF-8” and choose it again.");
            return "exchange/records";
        }
    }

    @PostMapping("/keep")
    String keep(@RequestParam UUID upload, RedirectAttributes next) {
        try {
            next.addFlashAttribute(
                    "said", Messages.text("RecordsController.kept.readings.part.your", "upload", records.keep(upload)));
            return "redirect:/technique";
        } catch (NotFound m) {
            next.addFlashAttribute(
                    "refused", "That file is no longer waiting, or the nursery has changed. Look it through again.");
            return "redirect:/records";
        }
    }
}
