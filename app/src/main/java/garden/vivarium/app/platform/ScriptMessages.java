package garden.vivarium.app.platform;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.HexFormat;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.context.i18n.LocaleContextHolder;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.util.DigestUtils;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;

/** What scripts say, a module for each language: a page names the reader's, and a browser keeps it as it keeps the scripts. */
@Controller
class ScriptMessages {

    private static final String PREFIX = "script.";
    private static final String FOLDER = "/assets/messages/";

    private final Messages messages;
    private final ObjectMapper mapper;
    private final Map<String, String> modules = new ConcurrentHashMap<>();

    ScriptMessages(Messages messages, ObjectMapper mapper) {
        this.messages = messages;
        this.mapper = mapper;
    }

    /** Where the module of the reader's language is; its name changes with what it says. */
    String address() {
        String module = module();
        String name = LocaleContextHolder.getLocale().toLanguageTag() + "-"
                + HexFormat.of()
                        .formatHex(DigestUtils.md5Digest(module.getBytes(StandardCharsets.UTF_8)))
                        .substring(0, 12);
        modules.putIfAbsent(name, module);
        return FOLDER + name + ".js";
    }

    private String module() {
        try {
            return "export default " + mapper.writeValueAsString(messages.below(PREFIX)) + ";\n";
        } catch (JsonProcessingException e) {
            throw new IllegalStateException("the messages of scripts cannot be written", e);
        }
    }

    @GetMapping(FOLDER + "{name}.js")
    ResponseEntity<String> module(@PathVariable String name) {
        String module = modules.get(name);
        // After a restart nobody has asked for a page yet; what is asked for by another name is of another version.
        return ResponseEntity.ok()
                .contentType(new MediaType("text", "javascript", StandardCharsets.UTF_8))
                .cacheControl(
                        module == null
                                ? CacheControl.noStore()
                                : CacheControl.maxAge(Duration.ofDays(365))
                                        .cachePublic()
                                        .immutable())
                .body(module == null ? module() : module);
    }
}
