package org.yarbel.web.plan;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.util.List;
import org.springframework.stereotype.Component;
import org.yarbel.core.plan.Groups;
import org.yarbel.web.column.CoreJson;

/** The groups of a session as they are stored: one document, as they are few and always read with it. */
@Component
@Converter
class GroupsColumn implements AttributeConverter<Groups, String> {
  private final CoreJson json;

  GroupsColumn(CoreJson json) {
    this.json = json;
  }

  @Override
  public String convertToDatabaseColumn(Groups groups) {
    return json.write(groups.all());
  }

  @Override
  public Groups convertToEntityAttribute(String text) {
    return new Groups(List.of(json.read(text, Groups.Numbered[].class)));
  }
}
