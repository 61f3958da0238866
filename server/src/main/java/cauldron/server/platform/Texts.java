package cauldron.server.platform;

import cauldron.core.form.Oddities;
import cauldron.core.sheet.SlotReader;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ValueDeserializer;
import tools.jackson.databind.deser.jdk.StringDeserializer;
import tools.jackson.databind.module.SimpleModule;

/** Texts in what is sent: one that no database can keep is refused where it is read. */
@Configuration
public class Texts {

    @Bean
    JsonMapperBuilderCustomizer cleanTexts() {
        return builder -> builder.addModule(new SimpleModule("clean texts").addDeserializer(String.class, new Clean()));
    }

    private static final class Clean extends StringDeserializer {
        @Override
        public String deserialize(JsonParser parser, DeserializationContext context) {
            String text = super.deserialize(parser, context);
            if (text != null && !Oddities.isClean(text)) {
                throw context.weirdStringException(text, String.class, "a character that no text can have");
            }
            return text;
        }
    }

    /** Takes a text as it is and anything else as none, for lists in which one bad item mustn't spoil the others. */
    public static final class Any extends ValueDeserializer<String> {
        @Override
        public String deserialize(JsonParser parser, DeserializationContext context) {
            if (parser.currentToken().isScalarValue()) {
                return parser.getValueAsString();
            }
            parser.skipChildren();
            return null;
        }
    }

    /** Takes any JSON as plain values, odd texts too: who reads them says what is wrong. */
    public static final class Raw extends ValueDeserializer<Object> {
        @Override
        public Object deserialize(JsonParser parser, DeserializationContext context) {
            return plain(context.readTree(parser));
        }

        private static Object plain(JsonNode node) {
            if (node.isObject()) {
                Map<String, Object> map = new LinkedHashMap<>();
                node.properties().forEach(e -> map.put(e.getKey(), plain(e.getValue())));
                return map;
            }
            if (node.isArray()) {
                List<Object> list = new ArrayList<>();
                node.forEach(item -> list.add(plain(item)));
                return list;
            }
            return node.isNumber() ? (Object) node.numberValue() : node.isString() ? node.stringValue()
                    : node.isBoolean() ? (Object) node.booleanValue() : null;
        }
    }
}
