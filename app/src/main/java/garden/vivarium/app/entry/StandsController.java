package garden.vivarium.app.entry;

import garden.vivarium.app.batch.BatchBook;
import garden.vivarium.app.batch.BatchView;
import garden.vivarium.app.batch.OwnWays;
import garden.vivarium.app.platform.FieldPath;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.UnreadableForm;
import garden.vivarium.app.platform.WayWords;
import garden.vivarium.app.stock.Stock;
import garden.vivarium.core.guide.Guide;
import garden.vivarium.core.guide.PlantKind;
import jakarta.servlet.http.HttpSession;
import jakarta.validation.Valid;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.validation.BindingResult;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** It stands already: one vessel after another, without leaving the page. */
@Controller
@RequestMapping("/stands")
class StandsController {

    private static final String WRITTEN = "stands.written";
    private static final int SHOWN = 12;

    private final Standing standing;
    private final BatchBook book;
    private final OwnWays own;
    private final Stock stock;
    private final Guide guide;

    StandsController(Standing standing, BatchBook book, OwnWays own, Stock stock, Guide guide) {
        this.standing = standing;
        this.book = book;
        this.own = own;
        this.stock = stock;
        this.guide = guide;
    }

    @GetMapping
    String page(Model model, HttpSession session) {
        if (!model.containsAttribute("form")) {
            model.addAttribute("form", StandsForm.EMPTY);
        }
        return show(model, session);
    }

    @PostMapping
    String write(
            @Valid @ModelAttribute("form") StandsForm form,
            BindingResult wrong,
            Model model,
            HttpSession session,
            RedirectAttributes next) {
        UnreadableForm.refuse(form, wrong);
        if (!wrong.hasErrors()) {
            try {
                BatchView batch = standing.write(form);
                List<String> codes = written(session);
                codes.add(0, batch.code());
                session.setAttribute(WRITTEN, new ArrayList<>(codes.subList(0, Math.min(SHOWN, codes.size()))));
                next.addFlashAttribute("form", form.next());
                next.addFlashAttribute("label", batch.label());
                next.addFlashAttribute("wroteCode", batch.code());
                next.addFlashAttribute(
                        "readAs",
                        Messages.text(
                                "stands.read.as",
                                "plant",
                                batch.plant(),
                                "kind",
                                guide.kind(batch.way().kind())
                                        .map(PlantKind::title)
                                        .orElse("none"),
                                "way",
                                WayWords.of(batch.way())));
                return "redirect:/stands";
            } catch (InvalidField p) {
                FieldPath.reject(wrong, StandsForm.class, p);
            }
        }
        return show(model, session);
    }

    private String show(Model model, HttpSession session) {
        List<String> codes = written(session);
        List<BatchView> batches = new ArrayList<>(
                book.ofCodes(codes).stream().map(BatchBook.Entry::batch).toList());
        batches.sort((a, b) -> Integer.compare(codes.indexOf(a.code()), codes.indexOf(b.code())));
        model.addAttribute("written", Collections.unmodifiableList(batches));
        model.addAttribute("plants", stock.plants());
        model.addAttribute("places", stock.places());
        model.addAttribute("methods", guide.methods());
        model.addAttribute("media", own.media());
        model.addAttribute("groups", guide.groups());
        return "entry/stands";
    }

    @SuppressWarnings("unchecked")
    private static List<String> written(HttpSession session) {
        return session.getAttribute(WRITTEN) instanceof List<?> codes
                ? new ArrayList<>((List<String>) codes)
                : new ArrayList<>();
    }
}
