package org.ulnaris.app.shell;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.context.MessageSourceResolvable;

/**
 * What an entry should have been; the words are in the message bundle under {@code expected.<key>}.
 *
 * @param key which words
 * @param parts figures and names within them
 */
public record Expected(String key, List<Object> parts) implements MessageSourceResolvable {
    public static Expected of(String key, Object... parts) {
        return new Expected(key, List.of(parts));
    }

    @Override
    public String[] getCodes() {
        return new String[] {"expected." + key};
    }

    @Override
    public Object[] getArguments() {
        return parts.toArray();
    }

    @Override
    public @Nullable String getDefaultMessage() {
        return null;
    }
}
