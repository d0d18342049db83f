package garden.vivarium.app.door;

import java.lang.reflect.RecordComponent;
import java.net.URLEncoder;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.regex.Pattern;
import org.springframework.core.MethodParameter;
import org.springframework.core.ResolvableType;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMethod;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.method.RequestMappingInfo;

/**
 * Asks every address of the application for what nobody would ask: junk in every place of the path, every parameter and every body,
 * from a seed. What it looks for is an answer that is the application's own fault, that names what it is made of, or that never comes.
 */
final class Fuzz {

    /** An answer that should not have been. */
    record Fault(String request, String why) {}

    /** What came of it all. */
    record Result(int requests, List<Fault> faults, Duration slowest, Map<Integer, Integer> byStatus) {}

    private static final Pattern INSIDES = Pattern.compile(
            "(java|jakarta|org\\.(springframework|hibernate|thymeleaf|mariadb|apache))\\.[a-z]+\\.|garden\\.vivarium\\.|Exception|\\bat [a-z.]+\\(|SQLSTATE|select \\w+(, \\w+)* from \\w+ where");
    private static final Duration HANGS = Duration.ofSeconds(2);

    /** What ends the visit, or takes long by right. */
    private static final Set<String> LEFT_OUT = Set.of(
            "/sign-out",
            "/nurseries/sample",
            "/nurseries",
            "/nurseries/go",
            "/copies/now.zip",
            "/copies/erase",
            "/error");

    private static final List<String> JUNK = List.of(
            "",
            " ",
            "0",
            "-1",
            "24",
            "-999999999",
            "2147483648",
            "99999999999999999999999",
            "NaN",
            "Infinity",
            "1e309",
            "1,5",
            "½",
            "true",
            "2026-06-15",
            "2026-02-30",
            "-999999999-01-01",
            "+999999999-12-31",
            "0000-00-00",
            "2026-06-01/2026-06-30",
            "00000000-0000-0000-0000-000000000000",
            "not-a-uuid",
            "\u0000",
            "a\u0000b\u0008c",
            "\u202Eright to left",
            "🌱 𝔘𝔫𝔦𝔠𝔬𝔡𝔢",
            "名前の植物",
            "<script>alert(1)</script>",
            "\"><img src=x onerror=alert(1)>",
            "'; drop table batch; --",
            "../../../etc/passwd",
            "%2e%2e%2f",
            "%",
            "${7*7}",
            "#{T(java.lang.Runtime)}",
            "{0,number,bad}",
            "{",
            "[]",
            "null",
            "line\r\nSet-Cookie: x=1",
            "=1+1",
            "a".repeat(300),
            "b".repeat(9000),
            "true;false",
            "a|b|c",
            "1:2:3");

    private final Visitor visitor;
    private final Runnable signIn;
    private final Random random;
    private final List<String> known;
    private final List<Mapped> addresses = new ArrayList<>();

    private record Mapped(String method, String path, HandlerMethod handler) {}

    /**
     * @param mappings every address
     * @param known ids and codes that there are
     * @param signIn lets the visitor in again, where something that was asked for has ended the session
     */
    Fuzz(
            Visitor visitor,
            Map<RequestMappingInfo, HandlerMethod> mappings,
            Collection<String> known,
            Runnable signIn,
            long seed) {
        this.visitor = visitor;
        this.signIn = signIn;
        this.random = new Random(seed);
        this.known = List.copyOf(known);
        mappings.forEach((info, handler) -> {
            Set<RequestMethod> methods = info.getMethodsCondition().getMethods();
            for (String path : info.getPatternValues()) {
                if (!LEFT_OUT.contains(path) && !path.startsWith("/people/everywhere")) {
                    for (RequestMethod m : methods.isEmpty() ? Set.of(RequestMethod.GET) : methods) {
                        addresses.add(new Mapped(m.name(), path, handler));
                    }
                }
            }
        });
        addresses.sort(Comparator.comparing(Mapped::path).thenComparing(Mapped::method));
    }

    int addresses() {
        return addresses.size();
    }

    /** So many requests, each address in turn. */
    Result ask(int requests) {
        List<Fault> faults = new ArrayList<>();
        Map<Integer, Integer> byStatus = new TreeMap<>();
        Duration slowest = Duration.ZERO;
        for (int i = 0; i < requests; i++) {
            Mapped m = addresses.get(i % addresses.size());
            String asked = "";
            try {
                HttpRequest.Builder request = request(m);
                asked = request.copy().build().method() + " "
                        + request.copy().build().uri().getRawPath() + " #" + i;
                Instant at = Instant.now();
                HttpResponse<String> answer = visitor.send(request);
                Duration took = Duration.between(at, Instant.now());
                slowest = took.compareTo(slowest) > 0 ? took : slowest;
                byStatus.merge(answer.statusCode(), 1, Integer::sum);
                look(asked, answer, took, faults);
                if (Visitor.ledTo(answer).startsWith("/sign-in")) {
                    signIn.run();
                }
            } catch (IllegalStateException e) {
                faults.add(new Fault(asked, "no answer: " + e.getMessage()));
            }
        }
        return new Result(requests, faults, slowest, byStatus);
    }

    private static void look(String asked, HttpResponse<String> answer, Duration took, List<Fault> faults) {
        if (answer.statusCode() >= 500) {
            faults.add(new Fault(asked, "answered " + answer.statusCode()));
        }
        // What a page says is looked at, but for what was typed and is shown again; pictures and files of others are
        // not ours to read.
        String kind = answer.headers().firstValue("Content-Type").orElse("");
        if ((kind.startsWith("text/html") || kind.startsWith("application/json"))
                && INSIDES.matcher(answer.body().replace("java.lang.Runtime", ""))
                        .find()) {
            faults.add(new Fault(asked, "names what it is made of"));
        }
        if (took.compareTo(HANGS) > 0) {
            faults.add(new Fault(asked, "took %.1f s".formatted(took.toMillis() / 1000.0)));
        }
    }

    private HttpRequest.Builder request(Mapped m) {
        String path = m.path().replaceAll("\\{(\\w+):[^{}]*(\\{[^}]*\\})?[^{}]*\\}", "{$1}");
        while (path.contains("{")) {
            path = path.replaceFirst("\\{[^}]*\\}", pathPart());
        }
        path = path.replace("**", pathPart()).replace("*", pathPart());
        List<String[]> fields = new ArrayList<>();
        boolean files = false;
        boolean body = false;
        for (MethodParameter p : m.handler().getMethodParameters()) {
            p.initParameterNameDiscovery(new org.springframework.core.DefaultParameterNameDiscoverer());
            files |= isFile(p);
            body |= p.hasParameterAnnotation(RequestBody.class);
            fields(p, fields);
        }
        fields.removeIf(f -> random.nextInt(12) == 0);
        if (random.nextInt(10) == 0) {
            fields.add(new String[] {junk(String.class).replaceAll("[^a-z]", "x"), junk(String.class)});
        }
        String query = fields.stream()
                .map(f -> encoded(f[0]) + "=" + encoded(f[1]))
                .reduce((a, b) -> a + "&" + b)
                .orElse("");
        if (!m.method().equals("POST")) {
            return HttpRequest.newBuilder(visitor.at(path + (query.isEmpty() ? "" : "?" + query)))
                    .header("Accept", random.nextInt(6) == 0 ? "application/json" : "text/html")
                    .method(m.method(), HttpRequest.BodyPublishers.noBody());
        }
        HttpRequest.Builder post = HttpRequest.newBuilder(visitor.at(path)).header("Accept", "text/html");
        if (random.nextInt(4) == 0) {
            post.header("Referer", visitor.at("/round").toString());
        }
        if (body || random.nextInt(25) == 0) {
            return post.header("Content-Type", "application/json")
                    .header("X-XSRF-TOKEN", visitor.token())
                    .header("X-CSRF-TOKEN", visitor.token())
                    .POST(HttpRequest.BodyPublishers.ofString(json(0)));
        }
        if (files || random.nextInt(25) == 0) {
            String edge = "edge" + random.nextInt(1000);
            return post.header("Content-Type", "multipart/form-data; boundary=" + edge)
                    .POST(HttpRequest.BodyPublishers.ofString(multipart(edge, fields)));
        }
        return post.header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString("_csrf=" + encoded(visitor.token()) + "&" + query));
    }

    private static boolean isFile(MethodParameter p) {
        return p.getParameterType() == MultipartFile.class
                || ResolvableType.forMethodParameter(p).resolveGeneric() == MultipartFile.class;
    }

    private void fields(MethodParameter p, List<String[]> fields) {
        Class<?> type = p.getParameterType();
        String name = p.getParameterName();
        RequestParam asked = p.getParameterAnnotation(RequestParam.class);
        if (asked != null && !isFile(p)) {
            fields.add(new String[] {
                asked.name().isEmpty() ? name : asked.name(), value(ResolvableType.forMethodParameter(p))
            });
        } else if (type.isRecord()
                && type.getName().startsWith("garden.")
                && !p.hasParameterAnnotation(PathVariable.class)
                && !p.hasParameterAnnotation(RequestBody.class)) {
            components("", type, fields, 0);
        }
    }

    private void components(String before, Class<?> type, List<String[]> fields, int deep) {
        for (RecordComponent c : type.getRecordComponents()) {
            String name = before + c.getName();
            ResolvableType of = ResolvableType.forMethodReturnType(c.getAccessor());
            Class<?> raw = of.resolve(Object.class);
            if (raw.isRecord() && raw.getName().startsWith("garden.") && deep < 3) {
                components(name + ".", raw, fields, deep + 1);
            } else if (Collection.class.isAssignableFrom(raw)) {
                Class<?> element = of.resolveGeneric();
                if (element != null && element.isRecord() && deep < 3) {
                    components(name + "[" + random.nextInt(3) + "].", element, fields, deep + 1);
                } else {
                    fields.add(new String[] {name, value(of)});
                }
            } else {
                fields.add(new String[] {name, value(of)});
            }
        }
    }

    private String value(ResolvableType type) {
        Class<?> raw = type.resolve(Object.class);
        return junk(
                Collection.class.isAssignableFrom(raw) && type.resolveGeneric() != null ? type.resolveGeneric() : raw);
    }

    /** Half of the time what could be meant, so that more than the first check is reached. */
    private String junk(Class<?> type) {
        int lot = random.nextInt(10);
        if (lot < 5) {
            if (type.isEnum()) {
                Object[] all = type.getEnumConstants();
                return ((Enum<?>) all[random.nextInt(all.length)]).name();
            }
            if (type == UUID.class) {
                return known.get(random.nextInt(known.size()));
            }
            if (type == int.class || type == Integer.class || type == double.class || type == Double.class) {
                return String.valueOf(random.nextInt(60));
            }
            if (type == java.time.LocalDate.class) {
                return "2026-06-%02d".formatted(1 + random.nextInt(28));
            }
        }
        return lot == 9 ? known.get(random.nextInt(known.size())) : JUNK.get(random.nextInt(JUNK.size()));
    }

    private String pathPart() {
        String part = random.nextInt(2) == 0
                ? known.get(random.nextInt(known.size()))
                : JUNK.get(random.nextInt(JUNK.size()));
        String safe = encoded(part.isBlank() ? "x" : part.substring(0, Math.min(400, part.length())))
                .replace("+", "%20");
        return safe.replace("\\", "%5C").replace("$", "%24");
    }

    private String json(int deep) {
        int kind = random.nextInt(deep > 2 ? 4 : 7);
        return switch (kind) {
            case 0 -> String.valueOf(random.nextInt());
            case 1 -> "null";
            case 2 -> "\"" + junk(String.class).replaceAll("[\\\\\"\\p{Cntrl}]", "?") + "\"";
            case 3 -> random.nextBoolean() ? "true" : "1e999";
            case 4 -> "[" + json(deep + 1) + "," + json(deep + 1) + "]";
            case 5 ->
                "{\"clientId\":\"" + UUID.randomUUID() + "\",\"lookedOn\":" + json(deep + 1)
                        + ",\"look\":\"LIFTED\",\"pieces\":[{\"piece\":" + random.nextInt(30) + ",\"state\":"
                        + json(deep + 1) + "}]}";
            default -> "{\"readings\":" + json(deep + 1) + ",\"pieces\":" + json(deep + 1) + "}";
        };
    }

    private String multipart(String edge, List<String[]> fields) {
        StringBuilder text = new StringBuilder();
        fields.forEach(f -> text.append("--%s\r\nContent-Disposition: form-data; name=\"%s\"\r\n\r\n%s\r\n"
                .formatted(edge, f[0].replace("\"", ""), f[1])));
        text.append("--%s\r\nContent-Disposition: form-data; name=\"_csrf\"\r\n\r\n%s\r\n"
                .formatted(edge, visitor.token()));
        text.append(
                "--%s\r\nContent-Disposition: form-data; name=\"file\"; filename=\"%s\"\r\nContent-Type: text/csv\r\n\r\n%s\r\n"
                        .formatted(
                                edge,
                                random.nextBoolean() ? "history.csv" : "../x\u0001.png",
                                random.nextBoolean()
                                        ? "batch,plant,method,medium,stuck_on,stuck,looked_on,ready,lost\nA,Fuchsia,tip cutting,perlite,2026-01-01,20,2026-02-01,"
                                                + junk(String.class) + ",1\n"
                                        : junk(String.class)));
        // One in five breaks off.
        return random.nextInt(5) == 0 ? text.toString() : text + "--" + edge + "--\r\n";
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    /** The faults, one a line, for whoever reads them. */
    static String said(Result result) {
        return String.format(
                        Locale.ROOT,
                        "%,d requests, slowest %d ms, by status %s, %d faults",
                        result.requests(),
                        result.slowest().toMillis(),
                        result.byStatus(),
                        result.faults().size())
                + Arrays.stream(result.faults().toArray(Fault[]::new))
                        .limit(60)
                        .map(f -> "\n  " + f.request() + ": " + f.why())
                        .reduce("", String::concat);
    }
}
