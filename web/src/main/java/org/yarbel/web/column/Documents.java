package org.yarbel.web.column;

import jakarta.persistence.AttributeConverter;
import jakarta.persistence.Converter;
import java.time.LocalDate;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.stereotype.Component;

/** Small collections that are always read with their row, as JSON. */
public abstract class Documents<T, D> implements AttributeConverter<T, String> {
  private final CoreJson json;
  private final Class<D> stored;

  Documents(CoreJson json, Class<D> stored) {
    this.json = json;
    this.stored = stored;
  }

  /** What is written down. */
  abstract Object written(T value);

  /** What was meant by it. */
  abstract T read(D document);

  @Override
  public String convertToDatabaseColumn(T value) {
    return json.write(written(value));
  }

  @Override
  public T convertToEntityAttribute(String text) {
    return read(json.read(text, stored));
  }

  /** Texts by their keys, in order. */
  @Converter
  @Component
  public static class OfTexts extends Documents<Map<String, String>, OfTexts.Texts> {
    OfTexts(CoreJson json) {
      super(json, Texts.class);
    }

    /** As they are read. */
    static final class Texts extends LinkedHashMap<String, String> {
      private static final long serialVersionUID = 1;
    }

    @Override
    Object written(Map<String, String> value) {
      return value;
    }

    @Override
    Map<String, String> read(Texts document) {
      return Collections.unmodifiableMap(document);
    }
  }

  /** Days, the earliest first. */
  @Converter
  @Component
  public static class OfDays extends Documents<Set<LocalDate>, LocalDate[]> {
    OfDays(CoreJson json) {
      super(json, LocalDate[].class);
    }

    @Override
    Object written(Set<LocalDate> value) {
      return new TreeSet<>(value);
    }

    @Override
    Set<LocalDate> read(LocalDate[] document) {
      return Collections.unmodifiableSet(new TreeSet<>(List.of(document)));
    }
  }

  /** Keys, in their order. */
  @Converter
  @Component
  public static class OfKeys extends Documents<Set<String>, String[]> {
    OfKeys(CoreJson json) {
      super(json, String[].class);
    }

    @Override
    Object written(Set<String> value) {
      return new TreeSet<>(value);
    }

    @Override
    Set<String> read(String[] document) {
      return Collections.unmodifiableSet(new TreeSet<>(List.of(document)));
    }
  }
}
