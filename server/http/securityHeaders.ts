/**
 * What every answer tells a browser, by nuxt-security: no script but ours, in no other site's frame, nothing from
 * elsewhere.
 */
import type { ModuleOptions } from 'nuxt-security'

export const security: Partial<ModuleOptions> = {
  nonce: true,
  sri: false,
  ssg: false,
  headers: {
    contentSecurityPolicy: {
      'default-src': ["'self'"],
      'script-src': ["'self'", "'nonce-{{nonce}}'"],
      'script-src-attr': ["'none'"],
      'style-src': ["'self'", "'nonce-{{nonce}}'"],
      // Positions that are drawn on the server are style attributes; no selector of a stranger's can stand in one.
      'style-src-attr': ["'unsafe-inline'"],
      'img-src': ["'self'", 'data:', 'blob:'],
      'font-src': ["'self'"],
      'connect-src': ["'self'"],
      'worker-src': ["'self'"],
      'manifest-src': ["'self'"],
      'frame-src': ["'none'"],
      'object-src': ["'none'"],
      'base-uri': ["'none'"],
      'form-action': ["'self'"],
      'frame-ancestors': ["'none'"],
      // Plain HTTP on loopback is what it is.
      'upgrade-insecure-requests': false,
    },
    strictTransportSecurity: false,
    crossOriginEmbedderPolicy: false,
    crossOriginOpenerPolicy: 'same-origin',
    crossOriginResourcePolicy: 'same-origin',
    originAgentCluster: '?1',
    // As it says, a page of ours still tells ours where it comes from.
    referrerPolicy: 'same-origin',
    xContentTypeOptions: 'nosniff',
    xDNSPrefetchControl: 'off',
    xFrameOptions: 'DENY',
    xPermittedCrossDomainPolicies: 'none',
    xXSSProtection: '0',
    xDownloadOptions: 'noopen',
    permissionsPolicy: {
      camera: [],
      microphone: [],
      geolocation: [],
      'display-capture': [],
      'screen-wake-lock': ['self'],
      fullscreen: ['self'],
    },
  },
  // What requests may hold, who may ask and how often stands in server/http.
  requestSizeLimiter: false,
  rateLimiter: false,
  xssValidator: false,
  corsHandler: false,
  allowedMethodsRestricter: false,
  basicAuth: false,
  csrf: false,
  removeLoggers: false,
  hidePoweredBy: true,
}
