package org.yarbel.web.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.TestApp;

@ExtendWith(TestApp.class)
class CallLimitTest {
  private static final String PATH = "/api/v1/estimate?load=100&reps=5&unit=kg";

  @Test
  void refusesTooManyCallsOfOneAddressAndNoOthers(TestApp app) {
    Client client = new Client(app);
    HttpResponse<String> answer = null;
    int taken = 0;
    // a minute may turn while they are sent, so up to twice the limit
    for (int i = 0; i < 2 * CallLimit.CALLS_PER_MINUTE + 1 && (answer == null || answer.statusCode() == 200); i++) {
      answer = client.get(PATH, "X-Forwarded-For", "203.0.113.7");
      taken++;
    }
    assertThat(answer.statusCode()).isEqualTo(429);
    assertThat(taken).isGreaterThan(CallLimit.CALLS_PER_MINUTE);
    assertThat(Integer.parseInt(answer.headers().firstValue("Retry-After").orElseThrow())).isBetween(1, 60);
    assertThat(answer.headers().firstValue("Content-Type").orElse("")).startsWith("application/problem+json");
    assertThat(client.get(PATH, "X-Forwarded-For", "203.0.113.8").statusCode()).isEqualTo(200);
  }

  @Test
  void refusesABodyThatIsTooLarge(TestApp app) {
    HttpResponse<String> answer = new Client(app).postJson("/api/v1/resolve", "{\"work\":\"" + "x".repeat(300_000) + "\"}");
    assertThat(answer.statusCode()).isEqualTo(413);
  }

  @Test
  void wantsTheLengthOfABody(TestApp app) throws Exception {
    HttpRequest chunked = HttpRequest.newBuilder(URI.create(app.url("/api/v1/resolve"))).header("Content-Type", "application/json")
        .version(HttpClient.Version.HTTP_1_1)
        .POST(HttpRequest.BodyPublishers.ofInputStream(() -> new ByteArrayInputStream("{}".getBytes(StandardCharsets.UTF_8)))).build();
    HttpResponse<String> answer = HttpClient.newHttpClient().send(chunked, HttpResponse.BodyHandlers.ofString());
    assertThat(answer.statusCode()).isEqualTo(411);
    assertThat(answer.headers().firstValue("Content-Type").orElse("")).startsWith("application/problem+json");
  }

  @Test
  void answersAnUnknownCallWithAProblemToo(TestApp app) {
    HttpResponse<String> answer = new Client(app).get("/api/v1/nothing");
    assertThat(answer.statusCode()).isEqualTo(404);
    assertThat(answer.headers().firstValue("Content-Type").orElse("")).startsWith("application/problem+json");
  }
}
