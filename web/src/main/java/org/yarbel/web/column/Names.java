package org.yarbel.web.column;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumSet;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.yarbel.core.lift.Gear;
import org.yarbel.core.lift.Muscle;
import org.yarbel.core.log.Context;

/** Constants by their names, with commas between. */
public abstract class Names<E extends Enum<E>> implements AttributeConverter<Set<E>, String> {
  private final Class<E> type;

  Names(Class<E> type) {
    this.type = type;
  }

  @Override
  public @Nullable String convertToDatabaseColumn(@Nullable Set<E> constants) {
    return constants == null ? null : constants.stream().map(Enum::name).collect(Collectors.joining(","));
  }

  @Override
  public @Nullable Set<E> convertToEntityAttribute(@Nullable String text) {
    if (text == null) {
      return null;
    }
    Set<E> constants = EnumSet.noneOf(type);
    Arrays.stream(text.split(",")).filter(name -> !name.isEmpty()).map(name -> Enum.valueOf(type, name)).forEach(constants::add);
    return Collections.unmodifiableSet(constants);
  }

  /** What a lifter wears. */
  @Converter
  public static class OfGear extends Names<Gear> {
    public OfGear() {
      super(Gear.class);
    }
  }

  /** In what state a set was lifted. */
  @Converter
  public static class OfContexts extends Names<Context> {
    public OfContexts() {
      super(Context.class);
    }
  }

  /** What a lift trains. */
  @Converter
  public static class OfMuscles extends Names<Muscle> {
    public OfMuscles() {
      super(Muscle.class);
    }
  }
}
