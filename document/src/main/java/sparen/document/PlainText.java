package sparen.document;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DatabindException;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.JacksonModule;
import tools.jackson.databind.KeyDeserializer;
import tools.jackson.databind.deser.jdk.StringDeserializer;
import tools.jackson.databind.deser.std.StdScalarDeserializer;
import tools.jackson.databind.module.SimpleModule;

/**
 * Texts without what nobody can see: control characters other than line breaks and tabs, which no database keeps, and marks that turn the
 * direction of writing, behind which a name can hide another (CVE-2021-42574, from memory).
 */
public final class PlainText extends StdScalarDeserializer<String> {
    private static final Pattern UNSEEN =
            Pattern.compile("[\\p{Cc}\\u202a-\\u202e\\u2066-\\u2069\\u200e\\u200f&&[^\\t\\n\\r]]");

    private PlainText() {
        super(String.class);
    }

    /** What refuses such texts, as values and as names of fields. */
    static JacksonModule module() {
        return new SimpleModule("plain text")
                .addDeserializer(String.class, new PlainText())
                .addKeyDeserializer(String.class, new Keys());
    }

    @Override
    public String deserialize(JsonParser parser, DeserializationContext context) {
        return plain(parser, StringDeserializer.instance.deserialize(parser, context));
    }

    private static String plain(JsonParser parser, String text) {
        refusal(text).ifPresent(says -> {
            throw DatabindException.from(parser, says);
        });
        return text;
    }

    /** Why a text is not taken; empty where it is. */
    public static Optional<String> refusal(String text) {
        Matcher unseen = UNSEEN.matcher(text);
        return unseen.find()
                ? Optional.of(
                        String.format("the character U+%04X is not taken in a text", (int) text.charAt(unseen.start())))
                : Optional.empty();
    }

    private static final class Keys extends KeyDeserializer {
        @Override
        public Object deserializeKey(String key, DeserializationContext context) {
            return plain(context.getParser(), key);
        }
    }
}
