package garden.vivarium.app.phone;

import com.google.zxing.common.BitMatrix;
import garden.vivarium.app.platform.PublicAddress;
import garden.vivarium.app.platform.SquareCode;
import java.net.URI;
import java.util.Optional;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The page that brings a phone here: first the certificate, then the address, each as a square code. */
@Controller
class PhoneController {

    private final PublicAddress address;
    private final Optional<AuthorityDoor> door;

    PhoneController(PublicAddress address, ObjectProvider<AuthorityDoor> door) {
        this.address = address;
        this.door = Optional.ofNullable(door.getIfAvailable());
    }

    /**
     * A square code as a page draws it.
     *
     * @param side cells of a side
     * @param path of its dark cells
     */
    record Drawn(String address, int side, String path) {

        static Drawn of(String address) {
            BitMatrix cells = SquareCode.of(address);
            return new Drawn(address, cells.getWidth(), SquareCode.path(cells));
        }
    }

    @GetMapping("/phone")
    String page(Model model) {
        model.addAttribute("hereOnly", address.isHereOnly());
        model.addAttribute("here", Drawn.of(address.root()));
        door.ifPresent(d -> {
            String host = URI.create(address.root()).getHost();
            model.addAttribute("authority", d.authority());
            model.addAttribute("certificate", Drawn.of("http://%s:%d%s".formatted(host, d.port(), AuthorityDoor.FILE)));
        });
        return "phone/phone";
    }
}
