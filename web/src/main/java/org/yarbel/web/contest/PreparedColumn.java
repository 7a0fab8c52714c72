package org.yarbel.web.contest;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import org.springframework.stereotype.Component;
import org.yarbel.web.column.CoreJson;

/** What was prepared as it is stored: one document, empty for nothing. */
@Component
@Converter
class PreparedColumn implements AttributeConverter<Prepared, String> {
  private final CoreJson json;

  PreparedColumn(CoreJson json) {
    this.json = json;
  }

  @Override
  public String convertToDatabaseColumn(Prepared prepared) {
    return prepared.equals(Prepared.NOTHING) ? "" : json.write(prepared);
  }

  @Override
  public Prepared convertToEntityAttribute(String text) {
    return text.isEmpty() ? Prepared.NOTHING : json.read(text, Prepared.class);
  }
}
