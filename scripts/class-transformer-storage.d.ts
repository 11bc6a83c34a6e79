declare module 'class-transformer/cjs/storage'
