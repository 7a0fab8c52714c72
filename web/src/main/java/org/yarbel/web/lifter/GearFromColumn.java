package org.yarbel.web.lifter;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Collectors;
import org.yarbel.core.lift.Gear;
import org.yarbel.core.lift.Movement;
import org.yarbel.core.log.NormalGear;
import org.yarbel.core.mass.Mass;

/** Where gear goes on, as it is stored: {@code BELT SQUAT 140 kg;BELT DEADLIFT 180 kg}. */
@Converter
public class GearFromColumn implements AttributeConverter<List<NormalGear.From>, String> {
  private static final int WORDS = 3;

  @Override
  public String convertToDatabaseColumn(List<NormalGear.From> all) {
    return all.stream().map(from -> from.gear() + " " + from.movement() + " " + from.load()).collect(Collectors.joining(";"));
  }

  @Override
  public List<NormalGear.From> convertToEntityAttribute(String text) {
    return Arrays.stream(text.split(";")).filter(one -> !one.isEmpty()).map(one -> one.split(" ", WORDS))
        .map(one -> new NormalGear.From(Gear.valueOf(one[0]), Movement.valueOf(one[1]), Mass.parse(one[2]))).toList();
  }
}
