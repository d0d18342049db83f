package garden.vivarium.app.platform;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.Modifier;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.expression.AccessException;
import org.springframework.expression.EvaluationContext;
import org.springframework.expression.PropertyAccessor;
import org.springframework.expression.TypedValue;

/**
 * What a template reads as {@code batch.counts.ready}: the method of that name without arguments, of a class of this program,
 * looked for once. What is no such method is left to those who look for getters; where both are there, this one is meant.
 */
final class PageProperties implements PropertyAccessor {

    private static final String OURS = "garden.vivarium.";

    private static final ClassValue<Map<String, Optional<Method>>> FOUND = new ClassValue<>() {
        @Override
        protected Map<String, Optional<Method>> computeValue(Class<?> of) {
            return new ConcurrentHashMap<>();
        }
    };

    @Override
    public Class<?>[] getSpecificTargetClasses() {
        return null;
    }

    @Override
    public boolean canRead(EvaluationContext context, Object target, String name) {
        return target != null && find(target.getClass(), name).isPresent();
    }

    @Override
    public TypedValue read(EvaluationContext context, Object target, String name) throws AccessException {
        try {
            return new TypedValue(find(target.getClass(), name).orElseThrow().invoke(target));
        } catch (InvocationTargetException e) {
            throw new AccessException("reading %s failed".formatted(name), new IllegalStateException(e.getCause()));
        } catch (IllegalAccessException e) {
            throw new AccessException("%s may not be read".formatted(name), e);
        }
    }

    private static Optional<Method> find(Class<?> of, String name) {
        return of.getName().startsWith(OURS)
                ? FOUND.get(of).computeIfAbsent(name, n -> declared(of, n))
                : Optional.empty();
    }

    private static Optional<Method> declared(Class<?> of, String name) {
        try {
            Method method = of.getMethod(name);
            if (Modifier.isStatic(method.getModifiers()) || method.getReturnType() == void.class) {
                return Optional.empty();
            }
            // Public of a class that is not.
            method.setAccessible(true);
            return Optional.of(method);
        } catch (NoSuchMethodException e) {
            return Optional.empty();
        }
    }

    @Override
    public boolean canWrite(EvaluationContext context, Object target, String name) {
        return false;
    }

    @Override
    public void write(EvaluationContext context, Object target, String name, Object value) throws AccessException {
        throw new AccessException("pages write nothing");
    }
}
