package garden.vivarium.app.platform;

import java.util.Locale;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.DispatcherServlet;
import org.springframework.web.servlet.i18n.AcceptHeaderLocaleResolver;

/** A page is told in the first language that its reader's browser asks for and whose words ship; else in the English of Britain. */
@Component(DispatcherServlet.LOCALE_RESOLVER_BEAN_NAME)
class ReaderLanguage extends AcceptHeaderLocaleResolver {

    ReaderLanguage(Messages messages) {
        setDefaultLocale(Locale.UK);
        setSupportedLocales(messages.languages().stream()
                .map(l -> l.equals(Locale.ENGLISH) ? Locale.UK : l)
                .toList());
    }
}
