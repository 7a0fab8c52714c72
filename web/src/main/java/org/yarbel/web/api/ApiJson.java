package org.yarbel.web.api;

import java.math.BigDecimal;
import org.springframework.boot.jackson.autoconfigure.JsonMapperBuilderCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.yarbel.core.mass.Decimal;
import tools.jackson.core.JsonParser;
import tools.jackson.databind.DeserializationContext;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.MapperFeature;
import tools.jackson.databind.cfg.CoercionAction;
import tools.jackson.databind.cfg.CoercionInputShape;
import tools.jackson.databind.deser.std.StdDeserializer;
import tools.jackson.databind.module.SimpleModule;
import tools.jackson.databind.type.LogicalType;

/** Reads requests strictly: a number is a number, a text a text, and nothing unknown is passed over. */
@Configuration
class ApiJson {
  @Bean
  JsonMapperBuilderCustomizer strictReading() {
    return builder -> builder
        .addModule(new SimpleModule().addDeserializer(BigDecimal.class, new Bounded()))
        .disable(MapperFeature.ALLOW_COERCION_OF_SCALARS)
        .disable(DeserializationFeature.ACCEPT_FLOAT_AS_INT)
        .enable(DeserializationFeature.FAIL_ON_UNKNOWN_PROPERTIES)
        .withCoercionConfig(LogicalType.Textual, config -> config
            .setCoercion(CoercionInputShape.Integer, CoercionAction.Fail)
            .setCoercion(CoercionInputShape.Float, CoercionAction.Fail)
            .setCoercion(CoercionInputShape.Boolean, CoercionAction.Fail));
  }

  /** A number with so few digits that it can be computed with. */
  private static final class Bounded extends StdDeserializer<BigDecimal> {
    Bounded() {
      super(BigDecimal.class);
    }

    @Override
    public BigDecimal deserialize(JsonParser in, DeserializationContext context) {
      if (!in.currentToken().isNumeric()) {
        return (BigDecimal) context.handleUnexpectedToken(BigDecimal.class, in);
      }
      BigDecimal number = in.getDecimalValue();
      if (!Decimal.fits(number)) {
        throw new OutOfRange("A number has at most " + Decimal.MOST_DIGITS + " digits, the last at most " + Decimal.MOST_SCALE
            + " places from the point.");
      }
      return number;
    }
  }
}
