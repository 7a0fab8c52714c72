package org.yarbel.web.contest;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import org.springframework.stereotype.Component;
import org.yarbel.web.column.CoreJson;

/** How a day goes as it is stored: one document, empty for the usual. */
@Component
@Converter
class DaySheetColumn implements AttributeConverter<DaySheet, String> {
  private final CoreJson json;

  DaySheetColumn(CoreJson json) {
    this.json = json;
  }

  @Override
  public String convertToDatabaseColumn(DaySheet sheet) {
    return sheet.equals(DaySheet.USUAL) ? "" : json.write(sheet);
  }

  @Override
  public DaySheet convertToEntityAttribute(String text) {
    return text.isEmpty() ? DaySheet.USUAL : json.read(text, DaySheet.class);
  }
}
