package garden.vivarium.app.platform;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import org.springframework.core.MethodParameter;
import org.springframework.stereotype.Component;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.method.HandlerMethod;
import org.springframework.web.servlet.HandlerInterceptor;

/** Refuses days that no grower means, by the name of the field: a year half typed, or a digit too many. */
@Component
public class BelievableDays implements HandlerInterceptor {

    /** The first day that is believed. */
    public static final LocalDate FIRST = LocalDate.of(1900, 1, 1);

    /** The last day that is believed. */
    public static final LocalDate LAST = LocalDate.of(2200, 12, 31);

    private final Map<HandlerMethod, List<String>> days = new ConcurrentHashMap<>();

    @Override
    public boolean preHandle(HttpServletRequest request, HttpServletResponse response, Object handler) {
        if (handler instanceof HandlerMethod h) {
            days.computeIfAbsent(h, BelievableDays::fields).forEach(f -> refuse(f, request.getParameter(f)));
        }
        return true;
    }

    /**
     * Refuses a day that is not believable.
     *
     * @throws InvalidField naming the field
     */
    public static void refuse(String field, LocalDate day) {
        if (day.isBefore(FIRST) || day.isAfter(LAST)) {
            throw new InvalidField(
                    field,
                    Messages.text(
                            "BelievableDays.not.believable.give.day",
                            "day",
                            day,
                            "year",
                            FIRST.getYear(),
                            "yearThen",
                            LAST.getYear()));
        }
    }

    private static void refuse(String field, String typed) {
        try {
            if (typed != null && !typed.isBlank()) {
                refuse(field, LocalDate.parse(typed.strip()));
            }
        } catch (DateTimeParseException e) {
            // What is no day at all is refused where it is read.
        }
    }

    private static List<String> fields(HandlerMethod handler) {
        return Arrays.stream(handler.getMethodParameters())
                .flatMap(BelievableDays::fields)
                .toList();
    }

    private static Stream<String> fields(MethodParameter parameter) {
        Class<?> type = parameter.getParameterType();
        if (type == LocalDate.class) {
            RequestParam named = parameter.getParameterAnnotation(RequestParam.class);
            return Stream.of(
                    named != null && !named.name().isEmpty()
                            ? named.name()
                            : parameter.getParameter().getName());
        }
        return type.isRecord() && parameter.hasParameterAnnotation(ModelAttribute.class)
                ? fields(type, "")
                : Stream.empty();
    }

    private static Stream<String> fields(Class<?> form, String path) {
        return Arrays.stream(form.getRecordComponents())
                .flatMap(c -> c.getType() == LocalDate.class
                        ? Stream.of(path + c.getName())
                        : c.getType().isRecord() ? fields(c.getType(), path + c.getName() + ".") : Stream.empty());
    }
}
