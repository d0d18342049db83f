package garden.vivarium.app.platform;

import java.nio.charset.StandardCharsets;
import java.util.Locale;
import org.springframework.core.Ordered;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.View;
import org.springframework.web.servlet.ViewResolver;
import org.springframework.web.servlet.view.RedirectView;

/**
 * Leads on to the address that a page names, as it is: a name in any script is written as addresses are written, and nothing in it is
 * taken for a place to be filled in or for the end of a line.
 */
@Component
class Redirects implements ViewResolver, Ordered {

    private static final String PREFIX = "redirect:";
    private static final String AS_THEY_ARE = "-._~:/?#[]@!$&'()*+,;=%";

    @Override
    public int getOrder() {
        return HIGHEST_PRECEDENCE;
    }

    @Override
    public View resolveViewName(String name, Locale locale) {
        if (!name.startsWith(PREFIX)) {
            return null;
        }
        RedirectView view = new RedirectView(written(name.substring(PREFIX.length())), true);
        view.setExpandUriTemplateVariables(false);
        return view;
    }

    /** Letters and digits and what has a meaning in addresses stay; all else is written as the octets of UTF-8. */
    static String written(String address) {
        StringBuilder text = new StringBuilder();
        for (byte octet : address.getBytes(StandardCharsets.UTF_8)) {
            char c = (char) (octet & 0xFF);
            boolean plain = c < 0x80 && (Character.isLetterOrDigit(c) || AS_THEY_ARE.indexOf(c) >= 0);
            text.append(plain ? String.valueOf(c) : "%%%02X".formatted((int) c));
        }
        return text.toString();
    }
}
