package zebrawood.logbook.json;

import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import zebrawood.core.reading.ReadingException;

/** The components of a record type, looked up once; by plain reflection, which costs a start less than method handles do. */
final class Shape {

    record Component(String name, Type type, Method reader) {}

    private static final ClassValue<Shape> SHAPES = new ClassValue<>() {
        @Override
        protected Shape computeValue(Class<?> type) {
            return new Shape(type);
        }
    };

    private final List<Component> components = new ArrayList<>();
    private final Constructor<?> constructor;

    private Shape(Class<?> type) {
        try {
            RecordComponent[] parts = type.getRecordComponents();
            for (RecordComponent part : parts) {
                components.add(new Component(part.getName(), part.getGenericType(), part.getAccessor()));
            }
            constructor = type.getConstructor(Arrays.stream(parts).map(RecordComponent::getType).toArray(Class<?>[]::new));
        } catch (ReflectiveOperationException e) {
            throw new IllegalArgumentException(type + " cannot be bound: it and its parts must be public records", e);
        }
    }

    static Shape of(Class<?> type) {
        return SHAPES.get(type);
    }

    List<Component> components() {
        return components;
    }

    /** @throws ReadingException where the record refuses its components */
    Object make(Object[] values) {
        try {
            return constructor.newInstance(values);
        } catch (InvocationTargetException e) {
            throw thrown(e.getCause());
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    static Object read(Component component, Object record) {
        try {
            return component.reader().invoke(record);
        } catch (InvocationTargetException e) {
            throw thrown(e.getCause());
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    private static RuntimeException thrown(Throwable cause) {
        if (cause instanceof Error error) {
            throw error;
        }
        return cause instanceof RuntimeException runtime ? runtime : new IllegalStateException(cause);
    }
}
