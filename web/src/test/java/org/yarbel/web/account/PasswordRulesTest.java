package org.yarbel.web.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PasswordRulesTest {
  private static final List<String> OWN = List.of("Isolde Marchbank", "isolde@tarnbrook.example", "Tarnbrook Barbell Hall");
  private final PasswordRules rules = new PasswordRules();

  @ParameterizedTest
  @CsvSource(textBlock = """
      1234567890,               the first that are tried
      '          ',             the first that are tried
      qwertyuiop,               the first that are tried
      basketball,               guessed quickly
      aaaaaaaaaabb,             the first that are tried
      isolde@tarnbrook.example, name
      Marchbank1,               name
      tarnbrookbarbell,         name
      abcdefghijkl,             guessed quickly
      short,                    has 5
      """)
  void refuses(String password, String why) {
    assertThat(rules.wrong(password, OWN)).as(password).hasValueSatisfying(said -> assertThat(said).contains(why));
  }

  @Test
  void refusesOneOfMoreThanTwoHundredCharacters() {
    assertThat(rules.wrong("granite lantern ".repeat(13), OWN)).contains("The password must have 10 to 200 characters but has 208.");
  }

  @ParameterizedTest
  @ValueSource(strings = {"granite lantern kayak", "sieben Ziegen im Keller", "xK4!pq9-Zr2m", "βαρύς χειμώνας στην πόλη"})
  void takes(String password) {
    assertThat(rules.wrong(password, OWN)).isEmpty();
  }
}
