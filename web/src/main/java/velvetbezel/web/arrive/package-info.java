/** Arrive: which car, what it has, what works today, what must stay. */
package velvetbezel.web.arrive;
