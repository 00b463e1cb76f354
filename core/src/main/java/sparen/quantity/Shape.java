package sparen.quantity;

import java.util.Map;

/** What a component of a record holds: a value alone, or in an optional, a list or a map. */
public sealed interface Shape {
    /** The value's type, or that of what is in an optional or a list; of a map, the map. */
    Class<?> type();

    /** A value alone. */
    record Whole(Class<?> type) implements Shape {}

    /** None or one. */
    record Maybe(Shape of) implements Shape {
        @Override
        public Class<?> type() {
            return of.type();
        }
    }

    /** Any number in their order. */
    record Many(Shape of) implements Shape {
        @Override
        public Class<?> type() {
            return of.type();
        }
    }

    /** Values by names: texts, or constants of an enum. */
    record Named(Class<?> key, Shape of) implements Shape {
        @Override
        public Class<?> type() {
            return Map.class;
        }
    }
}
