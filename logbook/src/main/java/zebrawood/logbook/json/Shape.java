package zebrawood.logbook.json;

import java.lang.invoke.MethodHandle;
import java.lang.invoke.MethodHandles;
import java.lang.invoke.MethodType;
import java.lang.reflect.RecordComponent;
import java.lang.reflect.Type;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import zebrawood.core.reading.ReadingException;

/** The components of a record type, looked up once. */
final class Shape {

    record Component(String name, Type type, MethodHandle reader) {}

    private static final MethodType READER = MethodType.methodType(Object.class, Object.class);
    private static final MethodType MAKER = MethodType.methodType(Object.class, Object[].class);

    private static final ClassValue<Shape> SHAPES = new ClassValue<>() {
        @Override
        protected Shape computeValue(Class<?> type) {
            return new Shape(type);
        }
    };

    private final List<Component> components = new ArrayList<>();
    private final MethodHandle constructor;

    private Shape(Class<?> type) {
        try {
            MethodHandles.Lookup lookup = MethodHandles.publicLookup();
            RecordComponent[] parts = type.getRecordComponents();
            for (RecordComponent part : parts) {
                components.add(new Component(part.getName(), part.getGenericType(), lookup.unreflect(part.getAccessor()).asType(READER)));
            }
            Class<?>[] types = Arrays.stream(parts).map(RecordComponent::getType).toArray(Class<?>[]::new);
            constructor = lookup.findConstructor(type, MethodType.methodType(void.class, types))
                    .asSpreader(Object[].class, types.length)
                    .asType(MAKER);
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
            return (Object) constructor.invokeExact(values);
        } catch (RuntimeException | Error e) {
            throw e;
        } catch (Throwable e) {
            throw new IllegalStateException(e);
        }
    }

    static Object read(Component component, Object record) {
        try {
            return (Object) component.reader().invokeExact(record);
        } catch (RuntimeException | Error e) {
            throw e;
        } catch (Throwable e) {
            throw new IllegalStateException(e);
        }
    }
}
