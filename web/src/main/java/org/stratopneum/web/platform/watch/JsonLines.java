package org.stratopneum.web.platform.watch;

import ch.qos.logback.classic.pattern.ThrowableProxyConverter;
import ch.qos.logback.classic.spi.ILoggingEvent;
import org.springframework.boot.json.JsonWriter;
import org.springframework.boot.logging.structured.StructuredLogFormatter;

/** A line of the log as one object of JSON, for those who gather logs. */
final class JsonLines implements StructuredLogFormatter<ILoggingEvent> {

    private final ThrowableProxyConverter trace = new ThrowableProxyConverter();

    private final JsonWriter<ILoggingEvent> writer = JsonWriter.<ILoggingEvent>of(line -> {
                line.add("time", ILoggingEvent::getInstant);
                line.add("level", ILoggingEvent::getLevel);
                line.add("logger", ILoggingEvent::getLoggerName);
                line.add("thread", ILoggingEvent::getThreadName);
                line.add("message", ILoggingEvent::getFormattedMessage);
                line.add("request", event -> event.getMDCPropertyMap().get(RequestIds.IN_LOG))
                        .whenNotNull();
                line.add("trace", event -> event.getThrowableProxy() == null ? null : trace.convert(event))
                        .whenNotNull();
            })
            .withNewLineAtEnd();

    JsonLines() {
        trace.start();
    }

    @Override
    public String format(ILoggingEvent event) {
        return writer.writeToString(event);
    }
}
