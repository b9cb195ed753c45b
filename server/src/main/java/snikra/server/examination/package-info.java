/** Examining a knife that is not kept: what is sent is judged and forgotten. */
package snikra.server.examination;
