/** One statement as the owner of a database, for the commands that prepare or trouble one. */
export async function query(url, sql) {
  // Only there once the dependencies are.
  const { default: pg } = await import('pg');
  const client = new pg.Client({ connectionString: url });
  await client.connect();
  try {
    return await client.query(sql);
  } finally {
    await client.end();
  }
}
