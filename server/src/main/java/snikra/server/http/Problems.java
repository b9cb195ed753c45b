package snikra.server.http;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import snikra.core.examination.Problem;
import snikra.formats.InvalidInput;
import snikra.server.knives.KnifeChangedMeanwhile;
import snikra.server.knives.NoSuchKnife;

/** Errors as problem+json: what field, what was given, what is accepted. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {

  @ExceptionHandler(InvalidInput.class)
  ProblemDetail invalid(InvalidInput e) {
    int n = e.problems().size();
    ProblemDetail detail =
        ProblemDetail.forStatusAndDetail(
            HttpStatus.BAD_REQUEST,
            n == 1 ? "One entry cannot be used." : n + " entries cannot be used.");
    detail.setProperty("problems", e.problems());
    return detail;
  }

  @ExceptionHandler(NoSuchKnife.class)
  ProblemDetail noSuchKnife(NoSuchKnife e) {
    return ProblemDetail.forStatusAndDetail(HttpStatus.NOT_FOUND, e.getMessage());
  }

  @ExceptionHandler(KnifeChangedMeanwhile.class)
  ProblemDetail changed(KnifeChangedMeanwhile e) {
    ProblemDetail detail = ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, e.getMessage());
    detail.setProperty("current", e.current());
    return detail;
  }

  @Override
  protected ResponseEntity<Object> handleHttpMessageNotReadable(
      HttpMessageNotReadableException e,
      org.springframework.http.HttpHeaders headers,
      org.springframework.http.HttpStatusCode status,
      org.springframework.web.context.request.WebRequest request) {
    ProblemDetail detail =
        ProblemDetail.forStatusAndDetail(HttpStatus.BAD_REQUEST, "One entry cannot be used.");
    detail.setProperty(
        "problems", List.of(new Problem("the whole", "nothing", "must be a JSON object")));
    return ResponseEntity.badRequest().body(detail);
  }
}
