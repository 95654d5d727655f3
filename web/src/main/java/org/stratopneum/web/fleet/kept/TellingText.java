package org.stratopneum.web.fleet.kept;

import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.util.Collection;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * A text that tells what is given from anything else. Records are taken apart: their own text is put together by a format
 * that is read anew each time, and a page would spend a tenth of its time on that.
 */
final class TellingText {

    private static final char BEGIN = 1;
    private static final char END = 2;
    private static final char NEXT = 0;

    private static final ClassValue<Method[]> PARTS = new ClassValue<>() {
        @Override
        protected Method[] computeValue(Class<?> type) {
            return Stream.of(type.getRecordComponents())
                    .map(RecordComponent::getAccessor)
                    .peek(accessor -> accessor.setAccessible(true))
                    .toArray(Method[]::new);
        }
    };

    private final StringBuilder text = new StringBuilder();

    private TellingText() {}

    static String of(Object given) {
        TellingText telling = new TellingText();
        telling.add(given);
        return telling.text.toString();
    }

    private void add(Object one) {
        if (one instanceof Record taken) {
            text.append(one.getClass().getSimpleName()).append(BEGIN);
            for (Method part : PARTS.get(taken.getClass())) {
                add(value(part, taken));
            }
            text.append(END);
        } else if (one instanceof Collection<?> several) {
            text.append(BEGIN);
            several.forEach(this::add);
            text.append(END);
        } else if (one instanceof Map<?, ?> pairs) {
            text.append(BEGIN);
            pairs.forEach((key, value) -> {
                add(key);
                text.append(BEGIN);
                add(value);
            });
            text.append(END);
        } else if (one instanceof Optional<?> perhaps) {
            add(perhaps.orElse(null));
        } else {
            text.append(one).append(NEXT);
        }
    }

    private static Object value(Method part, Record of) {
        try {
            return part.invoke(of);
        } catch (ReflectiveOperationException exception) {
            throw new IllegalStateException(part + " cannot be read", exception);
        }
    }
}
