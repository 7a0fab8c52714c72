package org.yarbel.web.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import org.apache.commons.codec.binary.Base32;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class OneTimeCodeTest {
  /** The secret of the test vectors in RFC 6238, appendix B, for SHA-1. */
  private static final String SECRET = new Base32().encodeToString("12345678901234567890".getBytes(StandardCharsets.US_ASCII));

  /** RFC 6238, appendix B, mode SHA1: its codes have eight digits, of which six are the last six. */
  @ParameterizedTest
  @CsvSource({"59, 94287082", "1111111109, 07081804", "1111111111, 14050471", "1234567890, 89005924", "2000000000, 69279037",
      "20000000000, 65353130"})
  void theCodesOfTheStandard(long second, String eight) {
    assertThat(OneTimeCode.of(SECRET, OneTimeCode.step(Instant.ofEpochSecond(second)))).isEqualTo(eight.substring(2));
  }

  @Test
  void aCodeCountsOnceAndForAStepAround() {
    Instant now = Instant.ofEpochSecond(1_111_111_111);
    long step = OneTimeCode.step(now);
    assertThat(OneTimeCode.stepOf(SECRET, "050 471", now, 0)).hasValue(step);
    assertThat(OneTimeCode.stepOf(SECRET, "050471", now, step)).as("used").isEmpty();
    assertThat(OneTimeCode.stepOf(SECRET, OneTimeCode.of(SECRET, step - 1), now, 0)).hasValue(step - 1);
    assertThat(OneTimeCode.stepOf(SECRET, OneTimeCode.of(SECRET, step + 1), now, 0)).hasValue(step + 1);
    assertThat(OneTimeCode.stepOf(SECRET, OneTimeCode.of(SECRET, step - 2), now, 0)).isEmpty();
    assertThat(OneTimeCode.stepOf(SECRET, "", now, 0)).isEmpty();
  }

  @Test
  void aSecretHasTheLengthTheStandardAdvises() {
    // RFC 4226, section 4, R6: 160 bits are recommended
    assertThat(new Base32().decode(OneTimeCode.secret())).hasSize(20);
    assertThat(OneTimeCode.address("ABCD", "Öre & Co", "a@b.example"))
        .isEqualTo("otpauth://totp/Yarbel%20%C3%96re%20%26%20Co:a%40b.example?secret=ABCD&issuer=Yarbel%20%C3%96re%20%26%20Co");
  }
}
