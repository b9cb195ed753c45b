/** What holds for every request: who may ask, what browsers may load, how errors are told. */
package snikra.server.http;
