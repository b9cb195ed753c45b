package snikra.server.knives;

import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.enums.ParameterIn;
import io.swagger.v3.oas.annotations.media.ArraySchema;
import io.swagger.v3.oas.annotations.media.Schema;
import java.lang.annotation.ElementType;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;

/**
 * Describes {@code in} for the published interface. It is read from the request itself: a value may
 * hold a comma, at which the framework would part it.
 */
@Parameter(
    name = "in",
    in = ParameterIn.QUERY,
    description = "Values that are ticked, as facet:value; of one facet any of them will do.",
    array = @ArraySchema(schema = @Schema(type = "string")))
@Target(ElementType.METHOD)
@Retention(RetentionPolicy.RUNTIME)
public @interface Ticked {}
