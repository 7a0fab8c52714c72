package org.yarbel.web.api;

import org.springframework.core.io.ClassPathResource;
import org.springframework.core.io.Resource;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RestController;

/** The description of the API. It is written by hand, and tests hold it to what the API does. */
@RestController
class OpenApiController {
  @GetMapping(value = "/api/v1/openapi.json", produces = MediaType.APPLICATION_JSON_VALUE)
  Resource description() {
    return new ClassPathResource("api/openapi.json");
  }
}
