package org.yarbel.web.problem;

import jakarta.servlet.RequestDispatcher;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.util.Map;
import org.springframework.boot.webmvc.error.ErrorController;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.ModelAndView;
import org.yarbel.web.edge.BodyTooLarge;

/** The one page for everything that is wrong, and for calls of the API a problem document. */
@Controller
class ErrorPage implements ErrorController {
  private final Meanwhile meanwhile;

  ErrorPage(Meanwhile meanwhile) {
    this.meanwhile = meanwhile;
  }

  @RequestMapping("/error")
  Object error(HttpServletRequest request, HttpServletResponse response) {
    HttpStatus status = status(request);
    if (String.valueOf(request.getAttribute(RequestDispatcher.ERROR_REQUEST_URI)).startsWith("/api/")) {
      return ResponseEntity.status(status).contentType(MediaType.APPLICATION_PROBLEM_JSON)
          .body(ProblemDetail.forStatusAndDetail(status, "See /api/v1 for what there is."));
    }
    // a piece of a page stays as it is, and says so
    response.setHeader("HX-Reswap", "none");
    ModelAndView page = new ModelAndView("error", Map.of("status", status.value(), "meanwhile", status == HttpStatus.CONFLICT
        ? meanwhile.words().orElse("") : ""));
    page.setStatus(status);
    return page;
  }

  private static HttpStatus status(HttpServletRequest request) {
    if (request.getAttribute(RequestDispatcher.ERROR_EXCEPTION) instanceof BodyTooLarge) {
      return HttpStatus.CONTENT_TOO_LARGE;
    }
    Object code = request.getAttribute(RequestDispatcher.ERROR_STATUS_CODE);
    HttpStatus known = code instanceof Integer number ? HttpStatus.resolve(number) : HttpStatus.NOT_FOUND;
    return known == null ? HttpStatus.INTERNAL_SERVER_ERROR : known;
  }
}
