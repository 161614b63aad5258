/** Other devices of the workshop, by HTTPS on its network: connectors, certificate, passphrase, who is signed in. */
package velvetbezel.web.devices;
