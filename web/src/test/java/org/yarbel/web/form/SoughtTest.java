package org.yarbel.web.form;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What comes from outside as a part of a name, and as a day. */
class SoughtTest {
  private static final Pattern FIELD = Pattern.compile("<input[^>]*?\\bname=\"(?:find|q)\"[^>]*>");

  @Test
  void isCutAndLosesWhatNoNameHas() {
    assertThat(new Sought(" Ma\0ren ").like()).isEqualTo("maren");
    assertThat(new Sought("50%_!").like()).isEqualTo("50!%!_!!");
    assertThat(new Sought("x".repeat(100_000)).typed()).hasSize(80);
    assertThat(new Sought("\0 \0").nothing()).isTrue();
    assertThat(new Sought("BENCH").in("Close-grip bench press")).isTrue();
  }

  /** Nobody types what nothing looks at: a field that finds takes as much as is looked for. */
  @Test
  void aFieldThatFindsTakesAsMuchAsIsLookedFor() throws IOException {
    int most = new Sought("x".repeat(1_000)).typed().length();
    List<String> fields = new ArrayList<>();
    try (Stream<Path> templates = Files.walk(Path.of("src/main/resources/templates"))) {
      for (Path template : templates.filter(Files::isRegularFile).toList()) {
        FIELD.matcher(Files.readString(template)).results().map(MatchResult::group).forEach(fields::add);
      }
    }
    assertThat(fields).hasSizeGreaterThanOrEqualTo(3).allMatch(field -> field.contains("maxlength=\"" + most + "\""));
  }

  @Test
  void aDayIsReadBetweenItsBounds() {
    DayReader reader = new DayReader();
    assertThat(reader.convert(" 2026-03-02 ")).isEqualTo(LocalDate.of(2026, 3, 2));
    assertThat(reader.convert("1900-01-01")).isNotNull();
    assertThat(reader.convert("2200-12-31")).isNotNull();
    assertThat(reader.convert("")).isNull();
  }

  @ParameterizedTest
  @ValueSource(strings = {"1899-12-31", "2201-01-01", "+999999999-12-31", "-0001-01-01", "2026-02-30", "2 March", "2026-03-02T10:00"})
  void whatIsNoDayIsRefused(String text) {
    DayReader reader = new DayReader();
    assertThatThrownBy(() -> reader.convert(text)).isInstanceOf(DateTimeParseException.class);
  }
}
