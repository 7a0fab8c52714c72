package org.yarbel.web.holdings;

import java.util.List;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** What a line of a table is, as JSON Schema 2020-12: made from the columns, so that it tells the truth. */
final class Schemas {
  private Schemas() {}

  static ObjectNode of(JsonMapper json, String table, List<Columns.Column> columns) {
    ObjectNode schema = json.createObjectNode();
    schema.put("$schema", "https://json-schema.org/draft/2020-12/schema");
    schema.put("title", table);
    schema.put("type", "object");
    ObjectNode properties = schema.putObject("properties");
    ArrayNode required = schema.putArray("required");
    for (Columns.Column column : columns) {
      properties.set(column.name(), property(json, column));
      required.add(column.name());
    }
    schema.put("additionalProperties", false);
    return schema;
  }

  private static ObjectNode property(JsonMapper json, Columns.Column column) {
    ObjectNode property = json.createObjectNode();
    String type = switch (column.type()) {
      case "bigint", "integer", "smallint" -> "integer";
      case "double precision", "numeric", "real" -> "number";
      case "boolean" -> "boolean";
      case "ARRAY" -> "array";
      default -> "string";
    };
    if (column.nullable()) {
      property.putArray("type").add(type).add("null");
    } else {
      property.put("type", type);
    }
    if (column.mass()) {
      property.put("description", "a mass in nanograms");
    } else if (column.names()) {
      property.put("description", "names a row of this archive");
    }
    switch (column.type()) {
      case "date" -> property.put("format", "date");
      case "timestamp with time zone" -> property.put("format", "date-time");
      case "uuid" -> property.put("format", "uuid");
      default -> { }
    }
    return property;
  }
}
