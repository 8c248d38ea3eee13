/** An entry as `AcceptedEntry` has it: what came from another installation says so, our own says nothing of it. */
export const ACCEPTED = `case when foreign_from is null then json_build_object(FIELDS)
  else json_build_object(FIELDS, 'foreign', foreign_from) end`.replaceAll(
  'FIELDS',
  `'id', id, 'job', job_id, 'sequence', sequence, 'device', device, 'deviceSequence', device_sequence, 'deviceTime', device_time,
   'seen', seen, 'author', author_id, 'body', body, 'receivedAt', to_char(received_at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"')`,
);
