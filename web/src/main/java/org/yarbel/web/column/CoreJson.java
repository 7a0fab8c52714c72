package org.yarbel.web.column;

import com.fasterxml.jackson.annotation.JsonSubTypes;
import com.fasterxml.jackson.annotation.JsonTypeInfo;
import org.springframework.stereotype.Component;
import org.yarbel.core.call.Effect;
import org.yarbel.core.card.LoadSource;
import org.yarbel.core.mass.Mass;
import tools.jackson.core.JsonGenerator;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.SerializationContext;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.ser.std.StdSerializer;

/**
 * Writes and reads what is stored as one document, such as cards and kits; a mass is its exact text, such as
 * {@code "182.5 kg"}.
 */
@Component
public class CoreJson {
  private final JsonMapper mapper = JsonMapper.builder()
      .addModule(new SimpleModule().addSerializer(new MassWriter()).addDeserializer(Mass.class, new MassReader()))
      .addMixIn(LoadSource.class, SourceByName.class)
      .addMixIn(Effect.class, EffectByName.class)
      .disable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
      .build();

  /** A value as the document that is stored. */
  public String write(Object document) {
    return mapper.writeValueAsString(document);
  }

  /** A stored document as the value it was. */
  public <T> T read(String json, Class<T> type) {
    return mapper.readValue(json, type);
  }

  /** Where a load comes from says its kind, as the core knows nothing of JSON. */
  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "kind")
  @JsonSubTypes({@JsonSubTypes.Type(value = LoadSource.Share.class, name = "share"),
      @JsonSubTypes.Type(value = LoadSource.ByChart.class, name = "chart"),
      @JsonSubTypes.Type(value = LoadSource.Drop.class, name = "drop"), @JsonSubTypes.Type(value = LoadSource.ShareOfSet.class,
          name = "set"),
      @JsonSubTypes.Type(value = LoadSource.OfBody.class, name = "body"), @JsonSubTypes.Type(value = LoadSource.Written.class,
          name = "written"),
      @JsonSubTypes.Type(value = LoadSource.Picked.class, name = "picked")})
  private interface SourceByName {}

  /** And an edit which it is. */
  @JsonTypeInfo(use = JsonTypeInfo.Id.NAME, property = "edit")
  @JsonSubTypes({@JsonSubTypes.Type(value = Effect.Rewrite.class, name = "rewrite"),
      @JsonSubTypes.Type(value = Effect.Add.class, name = "add"),
      @JsonSubTypes.Type(value = Effect.Move.class, name = "move"), @JsonSubTypes.Type(value = Effect.EasyWeek.class, name = "easy"),
      @JsonSubTypes.Type(value = Effect.Number.class, name = "number"), @JsonSubTypes.Type(value = Effect.OfBasis.class, name = "basis"),
      @JsonSubTypes.Type(value = Effect.Setting.class, name = "setting"), @JsonSubTypes.Type(value = Effect.Another.class, name = "method"),
      @JsonSubTypes.Type(value = Effect.Ask.class, name = "ask")})
  private interface EffectByName {}

  private static final class MassWriter extends StdSerializer<Mass> {
    MassWriter() {
      super(Mass.class);
    }

    @Override
    public void serialize(Mass mass, JsonGenerator out, SerializationContext context) {
      out.writeString(mass.toString());
    }
  }

  private static final class MassReader extends StdDeserializer<Mass> {
    MassReader() {
      super(Mass.class);
    }

    @Override
    public Mass deserialize(JsonParser in, DeserializationContext context) {
      return Mass.parse(in.getString());
    }
  }
}
