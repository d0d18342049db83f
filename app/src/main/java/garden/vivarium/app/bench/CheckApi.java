package garden.vivarium.app.bench;

import garden.vivarium.app.batch.Batches;
import garden.vivarium.app.batch.LookCommand;
import garden.vivarium.app.platform.Clash;
import garden.vivarium.app.platform.InvalidField;
import garden.vivarium.app.platform.Messages;
import garden.vivarium.app.platform.NotFound;
import garden.vivarium.app.platform.SignedIn;
import garden.vivarium.core.Limits;
import garden.vivarium.core.looks.Firmness;
import garden.vivarium.core.looks.LossCause;
import garden.vivarium.core.looks.PieceState;
import garden.vivarium.core.timing.LookKind;
import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.MethodArgumentNotValidException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.ResponseBody;

/** Takes checks as bench mode sends them, once there is a connection. */
@Controller
class CheckApi {

    private final Batches batches;

    CheckApi(Batches batches) {
        this.batches = batches;
    }

    /** A check as bench mode sends it. */
    record Sent(
            @NotNull UUID clientId,
            @NotNull LocalDate lookedOn,
            @NotNull LookKind look,
            Integer knownChanges,
            @Size(max = 500) String note,
            @NotEmpty @Size(max = Limits.MOST_PIECES) List<@Valid SentPiece> pieces) {

        LookCommand command() {
            return LookCommand.ofPieces(
                    clientId,
                    lookedOn,
                    look,
                    pieces.stream().map(p -> p.seen(look)).toList(),
                    note,
                    knownChanges);
        }
    }

    record SentPiece(
            @Min(1) @Max(Limits.MOST_PIECES) int piece,
            LookKind look,
            @NotNull PieceState state,
            LossCause cause,
            @Min(0) @Max(Limits.LONGEST_ROOT_MM) Integer rootMm,
            Boolean sideRoots,
            Boolean topGrowth,
            Firmness firmness,
            @Size(max = 500) String note) {

        LookCommand.Seen seen(LookKind ofAll) {
            return new LookCommand.Seen(
                    piece,
                    look == null ? ofAll : look,
                    state,
                    state == PieceState.LOST && cause == null ? LossCause.UNKNOWN : cause,
                    rootMm,
                    sideRoots,
                    topGrowth,
                    firmness,
                    note);
        }
    }

    /**
     * What became of a check. A browser lets go of what it keeps only where it reads the id of that very check here.
     *
     * @param id of the check that was sent; null where it could not be read
     * @param kept whether it is in the database now
     * @param message to its grower
     * @param field that was refused, or null
     * @param changes how often the batch was changed, or null
     */
    record Answer(UUID id, boolean kept, String message, String field, Integer changes) {}

    @PostMapping(value = "/batches/{code}/checks", consumes = "application/json", produces = "application/json")
    @ResponseBody
    ResponseEntity<Answer> send(
            @PathVariable String code,
            @Valid @RequestBody Sent sent,
            @RequestHeader(name = "Vivarium-Owner", required = false) String owner,
            @AuthenticationPrincipal SignedIn who) {
        UUID id = sent.clientId();
        if (owner != null && !owner.equals(who.owner())) {
            return ResponseEntity.status(HttpStatus.FORBIDDEN)
                    .body(no(id, "This check was logged by somebody else; it waits for them."));
        }
        try {
            return ResponseEntity.ok(new Answer(
                    id, true, "kept", null, batches.look(code, sent.command()).changes()));
        } catch (InvalidField p) {
            return ResponseEntity.unprocessableEntity().body(new Answer(id, false, p.getMessage(), p.field(), null));
        } catch (NotFound gone) {
            return ResponseEntity.status(HttpStatus.NOT_FOUND)
                    .body(no(id, Messages.text("batch.not.here", "code", code)));
        } catch (Clash c) {
            return ResponseEntity.status(HttpStatus.CONFLICT)
                    .body(new Answer(
                            id, false, "Somebody else logged this batch meanwhile. " + c.getMessage(), null, (int)
                                    c.version()));
        }
    }

    private static Answer no(UUID id, String message) {
        return new Answer(id, false, message, null, null);
    }

    @ExceptionHandler({HttpMessageNotReadableException.class, MethodArgumentNotValidException.class})
    ResponseEntity<Answer> unreadable(Exception e) {
        UUID id = e instanceof MethodArgumentNotValidException invalid
                        && invalid.getBindingResult().getTarget() instanceof Sent sent
                ? sent.clientId()
                : null;
        return ResponseEntity.badRequest()
                .body(no(id, "This check cannot be read; load the page anew and log it again."));
    }
}
