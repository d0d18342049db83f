package garden.vivarium.app.platform;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Optional;
import org.springframework.boot.web.servlet.error.ErrorController;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpMethod;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.servlet.support.RequestContextUtils;
import org.springframework.web.util.UriComponentsBuilder;

/** Errors as pages that say what happened and what would do. */
@Controller
@ControllerAdvice
class ErrorPages implements ErrorController {

    /** Of a request: what the page says in place of the usual, and under which heading. */
    static final String SAID = ErrorPages.class.getName();

    static final String TITLE = SAID + ".title";
    private static final String NOT_UNDERSTOOD =
            "“%s” was not understood: whole numbers are digits only, days are as 2026-11-24. Correct it and send again.";

    private final EveryPage page;

    ErrorPages(EveryPage page) {
        this.page = page;
    }

    @RequestMapping("/error")
    String error(HttpServletRequest request, Model model) {
        Object code = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
        int status = code instanceof Integer i ? i : HttpStatus.NOT_FOUND.value();
        say(model, status);
        if (request.getAttribute(SAID) instanceof String text) {
            model.addAttribute("text", text);
        }
        if (request.getAttribute(TITLE) instanceof String title) {
            model.addAttribute("title", title);
        }
        return "platform/error";
    }

    @ExceptionHandler(MaxUploadSizeExceededException.class)
    void tooLarge(HttpServletRequest request, HttpServletResponse response) throws IOException {
        answer(
                request,
                response,
                HttpStatus.PAYLOAD_TOO_LARGE,
                "A file of records may have 8 MB, some 100,000 lines. Split it by year and read the parts in turn.");
    }

    /** A form with a file that is none, or that breaks off. */
    @ExceptionHandler(MultipartException.class)
    void broken(HttpServletRequest request, HttpServletResponse response, MultipartException e) throws IOException {
        if (e instanceof MaxUploadSizeExceededException) {
            tooLarge(request, response);
            return;
        }
        // By this the page that says so knows that the form was tried already, and does not try it again.
        request.setAttribute(RequestDispatcher.ERROR_EXCEPTION, e);
        answer(
                request,
                response,
                HttpStatus.BAD_REQUEST,
                "The file did not arrive whole. Look at the connection, choose it again and send it again.");
    }

    @ExceptionHandler
    String unreadable(MethodArgumentTypeMismatchException e, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        return refused(e.getName(), NOT_UNDERSTOOD.formatted(e.getName()), request, response);
    }

    @ExceptionHandler
    String missing(MissingServletRequestParameterException e, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        return refused(e.getParameterName(), NOT_UNDERSTOOD.formatted(e.getParameterName()), request, response);
    }

    @ExceptionHandler
    String unreadable(UnreadableForm e, HttpServletRequest request, HttpServletResponse response) throws IOException {
        return refused(e.getMessage(), NOT_UNDERSTOOD.formatted(e.getMessage()), request, response);
    }

    @ExceptionHandler
    String problem(InvalidField e, HttpServletRequest request, HttpServletResponse response) throws IOException {
        return refused(e.field(), "%s: %s".formatted(FieldPath.last(e.field()), e.getMessage()), request, response);
    }

    /** Nothing is wrong with what was typed: it goes in again, in a moment. */
    @ExceptionHandler
    void many(HashingBusy e, HttpServletRequest request, HttpServletResponse response) throws IOException {
        request.setAttribute(TITLE, Messages.text("HashingBusy.title"));
        answer(request, response, HttpStatus.SERVICE_UNAVAILABLE, e.getMessage());
    }

    /** Both sides: how it stands now, and what was typed. */
    @ExceptionHandler
    @ResponseStatus(HttpStatus.CONFLICT)
    String clash(Clash e, HttpServletRequest request, Model model) {
        page.fill(model, request);
        model.addAttribute("stands", e.getMessage());
        model.addAttribute("mark", e.mark());
        model.addAttribute("address", request.getRequestURI());
        model.addAttribute("typed", FormActions.typed(request));
        model.addAttribute("back", cameFrom(request).orElse("/"));
        return "platform/clash";
    }

    /** What was typed into a form goes back to its page; whatever else was asked for is answered with a page that says what is wrong. */
    private static String refused(String field, String why, HttpServletRequest request, HttpServletResponse response)
            throws IOException {
        Optional<String> back = HttpMethod.POST.matches(request.getMethod()) ? cameFrom(request) : Optional.empty();
        if (back.isEmpty()) {
            answer(request, response, HttpStatus.BAD_REQUEST, why);
            return null;
        }
        FormActions.refuse(RequestContextUtils.getOutputFlashMap(request), request, field, why);
        return "redirect:" + back.get();
    }

    /** The page of ours that the request came from. */
    private static Optional<String> cameFrom(HttpServletRequest request) {
        String from = request.getHeader(HttpHeaders.REFERER);
        String here = UriComponentsBuilder.fromUriString(request.getRequestURL().toString())
                .replacePath("/")
                .build()
                .toUriString();
        return from == null || !from.startsWith(here)
                ? Optional.empty()
                : Optional.of(from.substring(here.length() - 1)).filter(path -> !path.startsWith("//"));
    }

    /** Through the container, so that the page has what every page has. */
    private static void answer(HttpServletRequest request, HttpServletResponse response, HttpStatus status, String text)
            throws IOException {
        request.setAttribute(SAID, text);
        response.sendError(status.value());
    }

    private static void say(Model model, int status) {
        switch (status) {
            case 404 -> {
                model.addAttribute("title", "Nothing grows here");
                model.addAttribute(
                        "text",
                        "This address leads to nothing in this nursery. Check the code on the label, or start from the round.");
            }
            case 403 -> {
                model.addAttribute("title", "This page had gone stale");
                model.addAttribute(
                        "text",
                        "It was open while your session ended, so what it sent was not taken. Go back, load it anew and send again.");
            }
            case 413 -> {
                model.addAttribute("title", "That is too large");
                model.addAttribute("text", "It is larger than anything this page takes. Send less at a time.");
            }
            case 400, 405, 415 -> {
                model.addAttribute("title", "That cannot be read");
                model.addAttribute(
                        "text", "Something in it was not understood. Go back, check what you typed and send again.");
            }
            default -> {
                model.addAttribute("title", "Something broke on our side");
                model.addAttribute(
                        "text",
                        "Nothing you sent was half kept: it was either stored whole or not at all. Try again; if it stays, tell whoever looks after this installation.");
            }
        }
    }
}
