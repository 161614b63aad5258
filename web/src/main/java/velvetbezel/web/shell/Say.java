package velvetbezel.web.shell;

import java.nio.charset.StandardCharsets;
import java.util.Locale;
import org.springframework.context.MessageSource;
import org.springframework.context.support.ResourceBundleMessageSource;

/**
 * Says in words what the core says as a code with arguments. The words are in {@code words/*.properties}, one file a
 * station and language: another language is another file.
 */
public final class Say {
    private static final MessageSource WORDS = words();

    private Say() {}

    private static MessageSource words() {
        ResourceBundleMessageSource source = new ResourceBundleMessageSource();
        source.setBasenames("words/open-up", "words/fit", "words/match", "words/controls", "words/diagnose");
        source.setDefaultEncoding(StandardCharsets.UTF_8.name());
        source.setFallbackToSystemLocale(false);
        source.setAlwaysUseMessageFormat(true);
        return source;
    }

    /** @throws org.springframework.context.NoSuchMessageException if no file has the code: a slip of ours */
    public static String it(String code, Object... arguments) {
        return WORDS.getMessage(code, arguments, Locale.ENGLISH);
    }
}
