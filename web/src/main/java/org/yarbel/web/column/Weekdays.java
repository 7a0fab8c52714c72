package org.yarbel.web.column;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.time.DayOfWeek;
import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;

/** Days of the week as a number: 1 for Monday, 2 for Tuesday, 4 for Wednesday, and so on, added up. */
@Converter
public class Weekdays implements AttributeConverter<Set<DayOfWeek>, Integer> {
  @Override
  public Integer convertToDatabaseColumn(Set<DayOfWeek> days) {
    return days.stream().mapToInt(day -> 1 << day.ordinal()).sum();
  }

  @Override
  public Set<DayOfWeek> convertToEntityAttribute(Integer number) {
    Set<DayOfWeek> days = EnumSet.noneOf(DayOfWeek.class);
    for (DayOfWeek day : DayOfWeek.values()) {
      if ((number >> day.ordinal() & 1) == 1) {
        days.add(day);
      }
    }
    return Collections.unmodifiableSet(days);
  }
}
