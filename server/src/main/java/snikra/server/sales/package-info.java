/** The sales book of the collection: what like knives brought. */
package snikra.server.sales;
