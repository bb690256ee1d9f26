import type { QueryInterface } from 'sequelize'

/**
 * What the stored text of a record comes to once decisions in it are exchanged, each as often as it
 * stands there: nothing where one stands there more or less often, or the text is not the one that
 * its hash tells. The text is unpacked once, for it is gone through several times.
 */
const functions = `
create function exchanged_whole(hash text, stored text, froms text[], tos text[], counts int[])
  returns text language plpgsql immutable strict as $$
declare
  body text := stored || '';
begin
  if encode(sha256(convert_to(body, 'UTF8')), 'hex') <> hash then return null; end if;
  for i in 1 .. cardinality(froms) loop
    if octet_length(body) - octet_length(replace(body, froms[i], ''))
       <> counts[i] * octet_length(froms[i]) then return null; end if;
  end loop;
  if cardinality(froms) = 1 then return replace(body, froms[1], tos[1]); end if;
  return exchanged(body, froms, tos);
end $$;
`

export async function up(query: QueryInterface): Promise<void> {
  await query.sequelize.query(functions)
}

export async function down(query: QueryInterface): Promise<void> {
  await query.sequelize.query('drop function exchanged_whole')
}
