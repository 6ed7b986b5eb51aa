export default async function stopDatabase() {}
