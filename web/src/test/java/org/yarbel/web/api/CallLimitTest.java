package org.yarbel.web.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.OutputStream;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.Raw;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class CallLimitTest {
  private static final String PATH = "/api/v1/estimate?load=100&reps=5&unit=kg";

  /** Calls until one is refused; a minute may turn while they are sent, so up to twice the limit. */
  private static Raw.Answer until429(Raw from, String path, String... headers) {
    Raw.Answer answer = from.get(path, headers);
    int taken = 1;
    while (answer.status() == 200 && taken <= 2 * CallLimit.CALLS_PER_MINUTE) {
      answer = from.get(path, headers);
      taken++;
    }
    assertThat(answer.status()).as("after %s calls", taken).isEqualTo(429);
    assertThat(taken).isGreaterThan(CallLimit.CALLS_PER_MINUTE);
    return answer;
  }

  @Test
  void refusesTooManyCallsOfOneAddressAndNoOthers(TestApp app) {
    Raw proxy = Raw.from(app, TestApp.PROXY);
    Raw.Answer answer = until429(proxy, PATH, "X-Forwarded-For: 203.0.113.7");
    assertThat(Integer.parseInt(answer.header("Retry-After"))).isBetween(1, 60);
    assertThat(answer.header("Content-Type")).startsWith("application/problem+json");
    assertThat(proxy.get(PATH, "X-Forwarded-For: 203.0.113.8").status()).isEqualTo(200);
  }

  @Test
  void whoIsNoNamedProxyCannotSayWhoAsks(TestApp app) {
    Raw stranger = Raw.from(app, "127.0.0.31");
    until429(stranger, PATH, "X-Forwarded-For: 203.0.113.9", "Forwarded: for=203.0.113.9");
    assertThat(stranger.get(PATH, "X-Forwarded-For: 203.0.113.10", "X-Real-IP: 203.0.113.10").status()).isEqualTo(429);
  }

  @Test
  void aPathWrittenOtherwiseIsCountedToo(TestApp app) {
    until429(Raw.from(app, "127.0.0.32"), PATH.replace("/api", "/%61pi"));
  }

  private static void gushing(OutputStream out) throws IOException {
    byte[] chunk = ("2000\r\n" + "7".repeat(0x2000) + "\r\n").getBytes(StandardCharsets.US_ASCII);
    out.write("9\r\n{\"work\":\"\r\n".getBytes(StandardCharsets.US_ASCII));
    for (int i = 0; i < 8_000; i++) {
      out.write(chunk);
    }
    out.write("0\r\n\r\n".getBytes(StandardCharsets.US_ASCII));
  }

  @ParameterizedTest
  @ValueSource(strings = {"/api/v1/plates", "/%61pi/v1/plates", "/api/v1/track"})
  void aBodyThatGushesIsCutAtItsLimit(String path) {
    Raw.Answer answer = Raw.from(TestApp.running(), "127.0.0.33")
        .send("POST", path, CallLimitTest::gushing, "Content-Type: application/json", "Transfer-Encoding: chunked");
    // where the rest was still under way the connection is cut, and the answer may be lost with it
    assertThat(answer.status()).isIn(413, 0);
  }

  @Test
  void refusesABodyThatIsTooLarge(TestApp app) {
    HttpResponse<String> answer = new Client(app).postJson("/api/v1/resolve", "{\"work\":\"" + "x".repeat(300_000) + "\"}");
    assertThat(answer.statusCode()).isEqualTo(413);
  }

  @Test
  void aBodyWithoutItsLengthIsTakenUpToTheLimit(TestApp app) {
    Raw.Answer answer = Raw.from(app, "127.0.0.34")
        .send("POST", "/api/v1/plates", out -> out.write("1a\r\n{\"unit\":\"kg\",\"target\":100}\r\n0\r\n\r\n"
        .getBytes(StandardCharsets.US_ASCII)), "Content-Type: application/json", "Transfer-Encoding: chunked");
    assertThat(answer.status()).as(answer.body()).isEqualTo(200);
  }

  @Test
  void answersAnUnknownCallWithAProblemToo(TestApp app) {
    HttpResponse<String> answer = new Client(app).get("/api/v1/nothing");
    assertThat(answer.statusCode()).isEqualTo(404);
    assertThat(answer.headers().firstValue("Content-Type").orElse("")).startsWith("application/problem+json");
  }
}
