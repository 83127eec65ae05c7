/** The child of start and test: the built server, ended when its parent is gone, even by kill -9. */
process.on('disconnect', () => process.exit(0))
await import('../.output/server/index.mjs')
