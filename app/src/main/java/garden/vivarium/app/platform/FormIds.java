package garden.vivarium.app.platform;

import jakarta.servlet.http.HttpServletRequest;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.support.RequestDataValueProcessor;

/** Gives every form that is sent an id that is used once, beside the token that keeps strangers from sending it. */
@Component
class FormIds implements BeanPostProcessor {

    /** The field of a form that holds its id. */
    static final String FIELD = "once";

    @Override
    public Object postProcessAfterInitialization(Object bean, String name) {
        return bean instanceof RequestDataValueProcessor p ? new WithId(p) : bean;
    }

    private record WithId(RequestDataValueProcessor others) implements RequestDataValueProcessor {

        @Override
        public String processAction(HttpServletRequest request, String action, String method) {
            return others.processAction(request, action, method);
        }

        @Override
        public String processFormFieldValue(HttpServletRequest request, String name, String value, String type) {
            return others.processFormFieldValue(request, name, value, type);
        }

        @Override
        public Map<String, String> getExtraHiddenFields(HttpServletRequest request) {
            Map<String, String> fields = others.getExtraHiddenFields(request);
            if (fields == null || fields.isEmpty()) {
                // A form that asks and changes nothing has no token either.
                return fields;
            }
            Map<String, String> all = new HashMap<>(fields);
            all.put(FIELD, UUID.randomUUID().toString());
            return all;
        }

        @Override
        public String processUrl(HttpServletRequest request, String url) {
            return others.processUrl(request, url);
        }
    }
}
