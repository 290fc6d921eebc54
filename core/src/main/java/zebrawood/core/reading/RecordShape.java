package zebrawood.core.reading;

import java.lang.reflect.Constructor;
import java.lang.reflect.InvocationTargetException;
import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;

/**
 * The components of a record type, looked up once; by plain reflection, which costs a start less than method handles
 * do.
 */
public final class RecordShape {

    /** One component: its name, its type as declared, how it is read. */
    public record Component(String name, Type type, Method reader) {}

    private static final ClassValue<RecordShape> SHAPES = new ClassValue<>() {
        @Override
        protected RecordShape computeValue(Class<?> type) {
            return new RecordShape(type);
        }
    };

    private final List<Component> components = new ArrayList<>();
    private final Constructor<?> constructor;

    private RecordShape(Class<?> type) {
        try {
            RecordComponent[] parts = type.getRecordComponents();
            for (RecordComponent part : parts) {
                components.add(new Component(part.getName(), part.getGenericType(), part.getAccessor()));
            }
            constructor = type.getConstructor(
                    Arrays.stream(parts).map(RecordComponent::getType).toArray(Class<?>[]::new));
        } catch (ReflectiveOperationException e) {
            throw new IllegalArgumentException(type + " cannot be bound: it and its parts must be public records", e);
        }
    }

    /**
     * The shape of a record type.
     *
     * @throws IllegalArgumentException where it or its constructor is not public
     */
    public static RecordShape of(Class<?> type) {
        return SHAPES.get(type);
    }

    /** In the order in which they are declared. */
    public List<Component> components() {
        return Collections.unmodifiableList(components);
    }

    /**
     * A new record of these values, in the order of its components.
     *
     * @throws ReadingException where the record refuses its components
     */
    public Object make(Object[] values) {
        try {
            return constructor.newInstance(values);
        } catch (InvocationTargetException e) {
            throw thrown(e.getCause());
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException(e);
        }
    }

    /** The value of a component. */
    public static Object read(Component component, Object record) {
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
