package org.yarbel.web.api;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.HashSet;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.yarbel.web.support.Client;
import org.yarbel.web.support.TestApp;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Holds the written description to what the API does. */
@ExtendWith(TestApp.class)
class OpenApiTest {
  private static final JsonMapper JSON = new JsonMapper();

  private static JsonNode description(TestApp app) {
    HttpResponse<String> answer = new Client(app).get("/api/v1/openapi.json");
    assertThat(answer.statusCode()).isEqualTo(200);
    assertThat(answer.headers().firstValue("Content-Type").orElse("")).startsWith("application/json");
    return JSON.readTree(answer.body());
  }

  @Test
  void describesEveryCallAndNoOther(TestApp app) {
    Set<String> calls = app.mappings().getHandlerMethods().keySet().stream()
        .flatMap(mapping -> mapping.getPatternValues().stream()).filter(path -> path.startsWith("/api/") && !path.endsWith("openapi.json"))
        .collect(Collectors.toSet());
    assertThat(new HashSet<>(description(app).get("paths").propertyNames())).isEqualTo(calls);
  }

  @Test
  void everyExampleIsAnsweredAsDescribed(TestApp app) {
    JsonNode description = description(app);
    Client client = new Client(app);
    for (Map.Entry<String, JsonNode> path : description.get("paths").properties()) {
      JsonNode get = path.getValue().get("get");
      JsonNode operation = get != null ? get : path.getValue().get("post");
      HttpResponse<String> answer = get != null ? client.get(path.getKey() + "?" + query(get))
          : client.postJson(path.getKey(), operation.get("requestBody").get("content").get("application/json").get("example").toString());
      assertThat(answer.statusCode()).as(path.getKey() + answer.body()).isEqualTo(200);
      JsonNode schema = operation.get("responses").get("200").get("content").get("application/json").get("schema");
      assertFits(JSON.readTree(answer.body()), schema, description, path.getKey());
    }
  }

  private static String query(JsonNode get) {
    return get.get("parameters").valueStream()
        .map(p -> p.get("name").stringValue() + "=" + URLEncoder.encode(p.get("example").asString(), StandardCharsets.UTF_8))
        .collect(Collectors.joining("&"));
  }

  /** Every field is described, every required one is there. */
  private static void assertFits(JsonNode value, JsonNode schema, JsonNode description, String place) {
    JsonNode at = schema;
    while (at.has("$ref")) {
      at = description.at(at.get("$ref").stringValue().substring(1));
      assertThat(at.isMissingNode()).as(place + " refers to nothing").isFalse();
    }
    if (value.isObject() && at.has("properties")) {
      Set<String> described = new HashSet<>(at.get("properties").propertyNames());
      assertThat(described).as(place).containsAll(value.propertyNames());
      if (at.has("required")) {
        at.get("required").forEach(name -> assertThat(value.has(name.stringValue())).as(place + " has " + name).isTrue());
      }
      for (Map.Entry<String, JsonNode> field : value.properties()) {
        assertFits(field.getValue(), at.get("properties").get(field.getKey()), description, place + "." + field.getKey());
      }
    } else if (value.isArray()) {
      for (JsonNode item : value) {
        assertFits(item, at.get("items"), description, place + "[]");
      }
    }
  }
}
