/**
 * The web application, a package a station: controllers load through the store, call the core and make view records;
 * templates only loop and show. <code>shell</code> is what every page has, <code>job</code> what every station of a job
 * has; no station knows another. Start with {@link velvetbezel.web.Application}.
 */
package velvetbezel.web;
