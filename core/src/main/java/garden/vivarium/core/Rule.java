package garden.vivarium.core;

/**
 * A rule of the job, as one constant of an enumeration. The core says which rule spoke and with what figures; whoever shows it
 * puts it into words.
 */
public interface Rule {

    /** Its name within its enumeration. */
    String name();

    /** Its name within the core: "WayWorking.WANTED". */
    default String key() {
        Class<?> steps = ((Enum<?>) this).getDeclaringClass();
        Class<?> owner = steps.getEnclosingClass() == null ? steps : steps.getEnclosingClass();
        return owner.getSimpleName() + "." + name();
    }
}
