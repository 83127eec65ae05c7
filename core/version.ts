/** Version of the core: changes whenever a published figure may. CHANGELOG.md says how. */
export const CORE_VERSION = '0.9.0'
