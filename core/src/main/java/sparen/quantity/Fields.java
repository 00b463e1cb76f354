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
                throw new IllegalArgumentException(
                        record.getClass().getSimpleName() + " has no component \"" + component + "\"");
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
}
