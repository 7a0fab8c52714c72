package org.yarbel.web.once;

import jakarta.servlet.http.HttpServletRequest;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.config.BeanPostProcessor;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.support.RequestDataValueProcessor;

/** Gives every form that writes a key of its own, beside its token. */
@Component
class FormKeys implements BeanPostProcessor {
  /** The field the key is in. */
  static final String FIELD = "_once";

  @Override
  public Object postProcessAfterInitialization(Object bean, String name) {
    return bean instanceof RequestDataValueProcessor processor ? new Keyed(processor) : bean;
  }

  private record Keyed(RequestDataValueProcessor inner) implements RequestDataValueProcessor {
    @Override
    public String processAction(HttpServletRequest request, String action, String method) {
      return inner.processAction(request, action, method);
    }

    @Override
    public String processFormFieldValue(HttpServletRequest request, @Nullable String name, String value, String type) {
      return inner.processFormFieldValue(request, name, value, type);
    }

    @Override
    public @Nullable Map<String, String> getExtraHiddenFields(HttpServletRequest request) {
      Map<String, String> fields = inner.getExtraHiddenFields(request);
      if (fields == null || fields.isEmpty()) {
        return fields;
      }
      Map<String, String> both = new LinkedHashMap<>(fields);
      both.put(FIELD, UUID.randomUUID().toString());
      return both;
    }

    @Override
    public String processUrl(HttpServletRequest request, String url) {
      return inner.processUrl(request, url);
    }
  }
}
