package org.ulnaris.app.shell;

import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** Records of many components, by the names of these. */
public final class Records {
    /** Components are looked up once a type: a long list asks for them a hundred thousand times. */
    private static final ClassValue<Shape> SHAPES = new ClassValue<>() {
        @Override
        protected Shape computeValue(Class<?> type) {
            RecordComponent[] components = Objects.requireNonNull(type.getRecordComponents(), type.getName());
            Map<String, Method> parts = new LinkedHashMap<>();
            Arrays.stream(components).forEach(one -> parts.put(one.getName(), one.getAccessor()));
            Class<?>[] types =
                    Arrays.stream(components).map(RecordComponent::getType).toArray(Class<?>[]::new);
            try {
                return new Shape(parts, type.getDeclaredConstructor(types));
            } catch (NoSuchMethodException e) {
                throw new IllegalStateException(e);
            }
        }
    };

    private Records() {}

    private record Shape(Map<String, Method> parts, Constructor<?> constructor) {}

    /**
     * The value of a component.
     *
     * @throws IllegalArgumentException for a name that is no component of it
     */
    public static @Nullable Object part(Record of, String name) {
        Method accessor = SHAPES.get(of.getClass()).parts().get(name);
        if (accessor == null) {
            throw new IllegalArgumentException(of.getClass().getSimpleName() + " has no " + name);
        }
        return value(of, accessor);
    }

    /**
     * A record of a type whose components may be null, but for those in {@code parts}.
     *
     * @throws IllegalArgumentException for a name that is no component of it
     */
    public static <R extends Record> R of(Class<R> type, Map<String, ? extends @Nullable Object> parts) {
        return made(type, parts, method -> null);
    }

    /**
     * The same record with other values of some components.
     *
     * @throws IllegalArgumentException for a name that is no component of it
     */
    @SuppressWarnings("unchecked")
    public static <R extends Record> R with(R record, Map<String, ? extends @Nullable Object> parts) {
        return made((Class<R>) record.getClass(), parts, accessor -> value(record, accessor));
    }

    private static <R extends Record> R made(
            Class<R> type,
            Map<String, ? extends @Nullable Object> parts,
            Function<Method, @Nullable Object> otherwise) {
        Shape shape = SHAPES.get(type);
        if (!shape.parts().keySet().containsAll(parts.keySet())) {
            throw new IllegalArgumentException(type.getSimpleName() + " has not all of " + parts.keySet());
        }
        @Nullable
        Object[] values = shape.parts().entrySet().stream()
                .map(part ->
                        parts.containsKey(part.getKey()) ? parts.get(part.getKey()) : otherwise.apply(part.getValue()))
                .toArray();
        try {
            return type.cast(shape.constructor().newInstance(values));
        } catch (InvocationTargetException e) {
            throw e.getCause() instanceof RuntimeException cause ? cause : new IllegalStateException(e);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    private static @Nullable Object value(Record of, Method accessor) {
        try {
            return accessor.invoke(of);
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }
}
