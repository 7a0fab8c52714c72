package org.yarbel.web.account;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ExceptionHandler;

/** Says so where a form with a password meets too many sign-ins; the sign-in form answers for itself ({@link Entrance}). */
@ControllerAdvice(annotations = org.springframework.stereotype.Controller.class)
class WhenBusy {
  private static final String AGAIN_SECONDS = "5";

  @ExceptionHandler(Hashing.TooBusy.class)
  void busy(HttpServletResponse response) throws IOException {
    response.setHeader(HttpHeaders.RETRY_AFTER, AGAIN_SECONDS);
    response.sendError(HttpServletResponse.SC_SERVICE_UNAVAILABLE);
  }
}
