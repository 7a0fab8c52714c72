package org.yarbel.web.form;

import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A form as its template asks for it: what stands in each field, and what is wrong with it.
 *
 * @param asked what to send along so that a doubted field is taken the next time
 */
public record Shown(Map<String, String> fields, Map<String, String> errors, Map<String, String> asked) {
  public static Shown of(Typed typed) {
    return new Shown(typed.fields(), typed.errors(), typed.asked());
  }

  /** What stands in a field. */
  public String value(String field) {
    return fields.getOrDefault(field, "");
  }

  /** What is wrong with a field; null when nothing is. */
  public @Nullable String error(String field) {
    return errors.get(field);
  }

  public boolean is(String field, String value) {
    return value.equals(fields.get(field));
  }
}
