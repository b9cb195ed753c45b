package snikra.server.http;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.HttpRequestMethodNotSupportedException;
import org.springframework.web.bind.MissingServletRequestParameterException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import snikra.core.examination.Problem;
import snikra.formats.Accepted;
import snikra.formats.InvalidInput;
import snikra.formats.UnreadableKnife;
import snikra.server.keeping.BackupFailed;
import snikra.server.keeping.Disk;
import snikra.server.keeping.DiskFull;
import snikra.server.knives.KnifeChangedMeanwhile;
import snikra.server.knives.NoSuchKnife;
import snikra.server.phone.NoLine;
import snikra.server.photos.LostPhotograph;

/** Errors as problem+json: what field, what was given, what is accepted. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {
  private static final Logger LOG = LoggerFactory.getLogger(Problems.class);
  private static final int FILE_CORRUPTED = 90030;

  /** What the database says of itself amid being opened anew: closed, closed already, to read. */
  private static final Set<Integer> OPENED_ANEW = Set.of(90098, 90121, 90097);

  /** Failures whose stack stands in the log already: the same a thousand times tells no more. */
  private final Set<String> told = ConcurrentHashMap.newKeySet();

  @ExceptionHandler(InvalidInput.class)
  ProblemDetail invalid(InvalidInput e) {
    return invalid(e.problems());
  }

  private static ProblemDetail invalid(List<Problem> problems) {
    int n = problems.size();
    ProblemDetail detail =
        ProblemDetail.forStatusAndDetail(
            HttpStatus.BAD_REQUEST,
            n == 1 ? "One entry cannot be used." : n + " entries cannot be used.");
    detail.setProperty("problems", problems);
    return detail;
  }

  @ExceptionHandler(NoSuchKnife.class)
  ProblemDetail noSuchKnife(NoSuchKnife e) {
    return ProblemDetail.forStatusAndDetail(HttpStatus.NOT_FOUND, e.getMessage());
  }

  @ExceptionHandler(LostPhotograph.class)
  ProblemDetail lost(LostPhotograph e) {
    return ProblemDetail.forStatusAndDetail(HttpStatus.GONE, e.getMessage());
  }

  @ExceptionHandler(UnreadableKnife.class)
  ProblemDetail unreadable(UnreadableKnife e) {
    return ProblemDetail.forStatusAndDetail(HttpStatus.UNPROCESSABLE_CONTENT, e.getMessage());
  }

  @ExceptionHandler(KnifeChangedMeanwhile.class)
  ProblemDetail changed(KnifeChangedMeanwhile e) {
    ProblemDetail detail = ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, e.getMessage());
    detail.setProperty("current", e.current());
    return detail;
  }

  @ExceptionHandler(ConcurrencyFailureException.class)
  ProblemDetail atOnce(ConcurrencyFailureException e) {
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.CONFLICT, "This was changed from two places at once. Try again.");
  }

  @ExceptionHandler(DiskFull.class)
  ProblemDetail full(DiskFull e) {
    return ProblemDetail.forStatusAndDetail(HttpStatus.INSUFFICIENT_STORAGE, e.getMessage());
  }

  @ExceptionHandler(NoLine.class)
  ProblemDetail noLine(NoLine e) {
    return ProblemDetail.forStatusAndDetail(HttpStatus.CONFLICT, e.getMessage());
  }

  @ExceptionHandler(BackupFailed.class)
  ProblemDetail backupFailed(BackupFailed e) {
    return ProblemDetail.forStatusAndDetail(HttpStatus.INTERNAL_SERVER_ERROR, e.getMessage());
  }

  /** The last resort: whatever else goes wrong is a plain sentence here and a stack in the log. */
  @ExceptionHandler(Exception.class)
  ProblemDetail unexpected(Exception e, WebRequest request) {
    if (Disk.isFull(e)) {
      return ProblemDetail.forStatusAndDetail(
          HttpStatus.INSUFFICIENT_STORAGE,
          "Nothing can be saved: the disk is full. Make room, and saving goes on by itself.");
    }
    int code = databaseCode(e);
    if (code == FILE_CORRUPTED) {
      return ProblemDetail.forStatusAndDetail(
          HttpStatus.INTERNAL_SERVER_ERROR,
          "The file with the knives is damaged. Stop Snikra and put back a copy: see Safe keeping.");
    }
    if (isBusy(e)) {
      return ProblemDetail.forStatusAndDetail(
          HttpStatus.SERVICE_UNAVAILABLE,
          "Snikra is busy with other requests. Try again in a moment.");
    }
    if (OPENED_ANEW.contains(code)) {
      return ProblemDetail.forStatusAndDetail(
          HttpStatus.SERVICE_UNAVAILABLE,
          "The file with the knives is being opened anew. Try again.");
    }
    String where = e.getStackTrace().length == 0 ? "" : " at " + e.getStackTrace()[0];
    if (told.add(e.getClass().getName() + where)) {
      LOG.error("{} could not be answered.", request.getDescription(false), e);
    } else {
      LOG.error(
          "{} could not be answered, as told above: {}{}", request.getDescription(false), e, where);
    }
    return ProblemDetail.forStatusAndDetail(
        HttpStatus.INTERNAL_SERVER_ERROR,
        "Snikra stumbled over this. What is kept is as it was; the log in the data folder says more.");
  }

  private static boolean isBusy(Throwable failure) {
    for (Throwable t = failure; t != null; t = t.getCause()) {
      if (t instanceof SQLTransientConnectionException) {
        return true;
      }
    }
    return false;
  }

  private static int databaseCode(Throwable failure) {
    for (Throwable t = failure; t != null; t = t.getCause()) {
      if (t instanceof SQLException sql) {
        return sql.getErrorCode();
      }
    }
    return 0;
  }

  @ExceptionHandler(MethodArgumentTypeMismatchException.class)
  ProblemDetail mismatch(MethodArgumentTypeMismatchException e) {
    String type = e.getRequiredType() == null ? "" : e.getRequiredType().getSimpleName();
    String accepted =
        switch (type) {
          case "UUID" -> "must be an id such as 2f1c7c1e-6d0c-4b8e-9a53-0d6b1f0f9a11";
          case "boolean", "Boolean" -> "must be true or false";
          default -> "must be a " + type;
        };
    return invalid(List.of(new Problem(e.getName(), "" + e.getValue(), accepted)));
  }

  @Override
  protected @Nullable ResponseEntity<Object> handleHttpRequestMethodNotSupported(
      HttpRequestMethodNotSupportedException e,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    List<String> taken =
        e.getSupportedMethods() == null
            ? List.of()
            : Arrays.stream(e.getSupportedMethods()).sorted().toList();
    ProblemDetail detail =
        ProblemDetail.forStatusAndDetail(
            HttpStatus.METHOD_NOT_ALLOWED, "This address does not take " + e.getMethod() + ".");
    detail.setProperty(
        "problems",
        List.of(new Problem("method", e.getMethod(), "must be " + String.join(" or ", taken))));
    return ResponseEntity.status(status).headers(headers).body(detail);
  }

  @Override
  protected @Nullable ResponseEntity<Object> handleMissingServletRequestParameter(
      MissingServletRequestParameterException e,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    return ResponseEntity.badRequest()
        .body(invalid(List.of(new Problem(e.getParameterName(), "nothing", Accepted.GIVEN))));
  }

  @Override
  protected @Nullable ResponseEntity<Object> handleHttpMessageNotReadable(
      HttpMessageNotReadableException e,
      HttpHeaders headers,
      HttpStatusCode status,
      WebRequest request) {
    return ResponseEntity.badRequest().body(invalid(List.of(Unread.because(e.getCause()))));
  }
}
