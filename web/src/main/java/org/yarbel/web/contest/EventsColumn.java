package org.yarbel.web.contest;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.util.List;
import org.springframework.stereotype.Component;
import org.yarbel.web.column.CoreJson;

/** The events of a contest as they are stored: one document. */
@Component
@Converter
class EventsColumn implements AttributeConverter<List<Contest.ContestEvent>, String> {
  private final CoreJson json;

  EventsColumn(CoreJson json) {
    this.json = json;
  }

  @Override
  public String convertToDatabaseColumn(List<Contest.ContestEvent> events) {
    return json.write(events);
  }

  @Override
  public List<Contest.ContestEvent> convertToEntityAttribute(String text) {
    return List.of(json.read(text, Contest.ContestEvent[].class));
  }
}
