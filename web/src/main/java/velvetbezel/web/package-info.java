/**
 * The web application: controllers call one service each, services load through the store, call the core and
 * make view records; templates only loop and show. Start with {@link velvetbezel.web.Application}.
 */
package velvetbezel.web;
