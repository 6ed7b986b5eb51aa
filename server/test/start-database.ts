export default async function startDatabase() {}
