import { getRequestProtocol, type H3Event } from 'h3'

/** True over HTTPS, where cookies are kept from any other way. */
export const isSecure = (event: H3Event): boolean =>
  getRequestProtocol(event, { xForwardedProto: false }) === 'https' || Boolean(process.env.NITRO_SSL_CERT)
