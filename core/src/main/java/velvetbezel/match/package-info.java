/**
 * Which kits of radio and parts make a complete installation in a vehicle, what each keeps and loses, and
 * why the other parts are out. Entry point: {@link velvetbezel.match.Matcher#match}.
 */
package velvetbezel.match;
