export const tryTemplates = async () => true
