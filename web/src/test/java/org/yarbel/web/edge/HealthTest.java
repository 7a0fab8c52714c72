package org.yarbel.web.edge;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.flywaydb.core.api.CoreErrorCode;
import org.flywaydb.core.api.ErrorDetails;
import org.flywaydb.core.api.exception.FlywayValidateException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.boot.diagnostics.FailureAnalysis;
import org.yarbel.web.YarbelProperties;
import org.yarbel.web.support.Raw;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class HealthTest {
  @Test
  void thisMachineIsToldHowItIsAndNoOther(TestApp app) {
    assertThat(Raw.from(app, "127.0.0.1").get("/health").body()).contains("\"status\":\"UP\"").contains("\"db\":{").contains("\"room\":{");
    for (String path : List.of("/health", "/health/readiness", "/health/liveness", "/health/db", "/health/nothing")) {
      assertThat(Raw.from(app, "127.0.0.41").get(path).status()).as(path).isEqualTo(404);
    }
  }

  @Test
  void readyIsWhatServesWithItsDatabase(TestApp app) {
    assertThat(Raw.from(app, "127.0.0.1").get("/health/readiness").body()).contains("\"readinessState\":{").contains("\"db\":{")
        .doesNotContain("room");
    assertThat(Raw.from(app, "127.0.0.1").get("/health/liveness").status()).isEqualTo(200);
  }

  @Test
  void nothingElseOfItIsShown(TestApp app) {
    for (String path : List.of("/env", "/beans", "/metrics", "/info", "/heapdump", "/actuator", "/actuator/health")) {
      assertThat(Raw.from(app, "127.0.0.1").get(path).status()).as(path).isNotEqualTo(200);
    }
  }

  @Test
  void littleRoomIsToldAndNothingIsDownForIt(TestApp app) {
    DiskWatch disk = app.bean(DiskWatch.class);
    try {
      disk.found(DiskWatch.LITTLE - 1);
      Raw.Answer answer = Raw.from(app, "127.0.0.1").get("/health");
      assertThat(answer.status()).isEqualTo(200);
      assertThat(answer.body()).contains("\"room\":{\"status\":\"LITTLE\"}").contains("],\"status\":\"UP\"}");
    } finally {
      disk.found(Long.MAX_VALUE);
    }
  }

  @Test
  void whoHasTheTokenIsToldElsewhere() {
    assertThat(mayAsk("given", "Bearer given")).isTrue();
    assertThat(mayAsk("given", "Bearer other")).isFalse();
    assertThat(mayAsk("given", null)).isFalse();
    assertThat(mayAsk("", "Bearer ")).as("no token is none").isFalse();
    assertThat(mayAsk(null, "Bearer null")).isFalse();
  }

  private static boolean mayAsk(String token, String sent) {
    return new HealthGuard(new YarbelProperties(false, null, null, null, null, null, token)).mayAsk("198.51.100.7", sent);
  }

  @Test
  void recordsOfANewerVersionAreRefusedInASentence() {
    FlywayValidateException refused = new FlywayValidateException(new ErrorDetails(CoreErrorCode.VALIDATE_ERROR, "9"), "all");
    FailureAnalysis said = new OtherVersion().analyze(new IllegalStateException("no context", refused));
    assertThat(said.getDescription()).isEqualTo("The records in the data folder were written by a newer version of Yarbel.");
  }
}
