package snikra.server.http;

import com.fasterxml.jackson.annotation.JsonSetter;
import com.fasterxml.jackson.annotation.Nulls;
import java.lang.reflect.RecordComponent;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.cfg.MapperConfig;
import tools.jackson.databind.introspect.Annotated;
import tools.jackson.databind.introspect.AnnotatedParameter;
import tools.jackson.databind.introspect.NopAnnotationIntrospector;

/**
 * What a record that is sent must have: each of its parts but those that may be null and bare
 * figures. A part that is missing is refused where the body is read, and not where it is used.
 */
public final class MustBeGiven extends NopAnnotationIntrospector {
  private static final long serialVersionUID = 1L;

  @Override
  public JsonSetter.@Nullable Value findSetterInfo(MapperConfig<?> config, Annotated part) {
    return part instanceof AnnotatedParameter p && p.getDeclaringClass().isRecord() && isNeeded(p)
        ? JsonSetter.Value.forValueNulls(Nulls.FAIL)
        : null;
  }

  private static boolean isNeeded(AnnotatedParameter part) {
    RecordComponent[] parts = part.getDeclaringClass().getRecordComponents();
    return part.getOwner().getParameterCount() == parts.length
        && !part.getRawType().isPrimitive()
        && !parts[part.getIndex()].getAnnotatedType().isAnnotationPresent(Nullable.class);
  }
}
