package org.yarbel.web.session;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.util.List;
import org.springframework.stereotype.Component;
import org.yarbel.core.log.Pain;
import org.yarbel.web.column.CoreJson;

/** What hurts as it is stored: one document, as it is little and always read with its check-in. */
@Component
@Converter
class PainsColumn implements AttributeConverter<List<Pain>, String> {
  private final CoreJson json;

  PainsColumn(CoreJson json) {
    this.json = json;
  }

  @Override
  public String convertToDatabaseColumn(List<Pain> pains) {
    return json.write(pains);
  }

  @Override
  public List<Pain> convertToEntityAttribute(String text) {
    return List.of(json.read(text, Pain[].class));
  }
}
