package org.stratopneum.web.platform.wording;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.text.DecimalFormatSymbols;
import java.text.MessageFormat;
import java.util.Arrays;
import java.util.Locale;
import org.springframework.context.MessageSource;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.context.support.ReloadableResourceBundleMessageSource;
import org.springframework.core.io.Resource;
import org.springframework.core.io.support.ResourcePatternResolver;

/** Every file of messages, put together once: a page asks for hundreds, and is not to look through all files for each. */
@Configuration
class Messages {

    private static final String FOLDER = "classpath:messages/";
    private static final char BEFORE_LANGUAGE = '_';
    private static final String ENDING = ".properties";

    @Bean
    MessageSource messageSource(ResourcePatternResolver resources) throws IOException {
        ReloadableResourceBundleMessageSource messages = new WithMarks();
        messages.setBasenames(Arrays.stream(resources.getResources("classpath*:messages/*" + ENDING))
                .map(Resource::getFilename)
                .filter(name -> name.indexOf(BEFORE_LANGUAGE) < 0)
                .map(name -> FOLDER + name.substring(0, name.length() - ENDING.length()))
                .sorted()
                .toArray(String[]::new));
        messages.setDefaultEncoding(StandardCharsets.UTF_8.name());
        messages.setFallbackToSystemLocale(false);
        messages.setAlwaysUseMessageFormat(true);
        return messages;
    }

    /** Numbers that stand in a sentence have the sign U+066B for their mark, which becomes the one that the rider knows. */
    private static final class WithMarks extends ReloadableResourceBundleMessageSource {

        private static final char MARK = '\u066B';

        @Override
        protected MessageFormat createMessageFormat(String message, Locale locale) {
            char mark = DecimalFormatSymbols.getInstance(locale).getDecimalSeparator();
            return super.createMessageFormat(message.replace(MARK, mark), locale);
        }
    }
}
