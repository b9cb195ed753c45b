/**
 * Photographs of knives: the original is kept byte for byte, what is shown is a copy that stands
 * upright and carries no place or camera. {@link snikra.server.photos.PhotoService} is the way in.
 */
package snikra.server.photos;
