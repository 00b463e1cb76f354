package sparen.quantity;

import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;

/** Changes records by the names of their components. */
public final class Fields {
    private Fields() {}

    /**
     * A copy of a record with one component changed; its compact constructor looks at it anew.
     *
     * @throws IllegalArgumentException when it has no such component
     * @throws InvalidQuantity when the record refuses the value
     */
    @SuppressWarnings("unchecked")
    public static <R> R with(R record, String component, Object value) {
        RecordComponent[] components = record.getClass().getRecordComponents();
        Object[] values = new Object[components.length];
        boolean found = false;
        try {
            for (int i = 0; i < components.length; i++) {
                boolean meant = components[i].getName().equals(component);
                found |= meant;
                values[i] = meant ? value : components[i].getAccessor().invoke(record);
            }
            if (!found) {
                throw missing(record, component);
            }
            Class<?>[] types =
                    Arrays.stream(components).map(RecordComponent::getType).toArray(Class<?>[]::new);
            return (R) record.getClass().getDeclaredConstructor(types).newInstance(values);
        } catch (InvocationTargetException refused) {
            if (refused.getCause() instanceof InvalidQuantity invalid) {
                throw invalid;
            }
            throw new IllegalStateException(refused);
        } catch (ReflectiveOperationException broken) {
            throw new IllegalStateException(broken);
        }
    }

    /** Whether a record has a component of that name. */
    public static boolean has(Record record, String component) {
        return Arrays.stream(record.getClass().getRecordComponents())
                .anyMatch(one -> one.getName().equals(component));
    }

    /**
     * The value of a record's component.
     *
     * @throws IllegalArgumentException when it has no such component
     */
    public static Object get(Record record, String component) {
        for (RecordComponent one : record.getClass().getRecordComponents()) {
            if (one.getName().equals(component)) {
                try {
                    return one.getAccessor().invoke(record);
                } catch (ReflectiveOperationException broken) {
                    throw new IllegalStateException(broken);
                }
            }
        }
        throw missing(record, component);
    }

    private static IllegalArgumentException missing(Object record, String component) {
        return new IllegalArgumentException(
                record.getClass().getSimpleName() + " has no component \"" + component + "\"");
    }
}
