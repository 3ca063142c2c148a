-- A clinic of :clients clients with :sittings sittings of twelve items each, made from one client of the demonstration.
-- Spread over :days days, five therapists.
\set ON_ERROR_STOP on
CREATE TEMPORARY TABLE pattern AS SELECT * FROM client WHERE given_name = 'Odalys' LIMIT 1;
CREATE TEMPORARY TABLE people AS SELECT gen_random_uuid() AS id, n FROM generate_series(1, :clients) n;
CREATE TEMPORARY TABLE copied AS SELECT * FROM pattern LIMIT 0;
INSERT INTO copied SELECT pattern.* FROM pattern, people;
WITH numbered AS (SELECT ctid, row_number() OVER () AS n FROM copied)
UPDATE copied SET id = people.id, family_name = 'Copy ' || lpad(people.n::text, 4, '0')
FROM numbered JOIN people ON people.n = numbered.n WHERE copied.ctid = numbered.ctid;
INSERT INTO client SELECT * FROM copied;
INSERT INTO screening_answer (id, clinic_id, client_id, question_id, answer, asked_on, by_staff_id, at)
SELECT gen_random_uuid(), a.clinic_id, p.id, a.question_id, a.answer, a.asked_on, a.by_staff_id, a.at
FROM screening_answer a JOIN pattern ON a.client_id = pattern.id CROSS JOIN people p;
INSERT INTO reading (id, clinic_id, client_id, visit_id, code, side, mode, argument, number, yes, word, on_day, at,
    by_staff_id, reason, source, by_eye, trials, position, medication)
SELECT gen_random_uuid(), r.clinic_id, p.id, r.visit_id, r.code, r.side, r.mode, r.argument, r.number, r.yes, r.word,
    r.on_day, r.at, r.by_staff_id, r.reason, r.source, r.by_eye, r.trials, r.position, r.medication
FROM reading r JOIN pattern ON r.client_id = pattern.id CROSS JOIN people p;
-- the first was measured all over every six weeks, a little better each time
INSERT INTO reading (id, clinic_id, client_id, visit_id, code, side, mode, argument, number, yes, word, on_day, at,
    by_staff_id, reason, source, by_eye, trials, position, medication)
SELECT gen_random_uuid(), r.clinic_id, p.id, r.visit_id, r.code, r.side, r.mode, r.argument,
    CASE WHEN r.code IN ('wrist_extension', 'opening') THEN r.number - d / 42 ELSE r.number END, r.yes, r.word,
    r.on_day - d, r.at - d * interval '1 day', r.by_staff_id, r.reason, r.source, r.by_eye, r.trials, r.position,
    r.medication
FROM reading r JOIN pattern ON r.client_id = pattern.id CROSS JOIN people p
CROSS JOIN generate_series(42, :days, 42) AS d (d)
WHERE p.n = 1 AND r.replaced_by_id IS NULL AND r.withdrawn_at IS NULL
    AND r.on_day = (SELECT max(on_day) FROM reading WHERE client_id = pattern.id);
INSERT INTO routine (id, version, clinic_id, client_id, items, left_out, with_more, kind, value, bound, forbidden,
    by_staff_id, made_at)
SELECT gen_random_uuid(), 1, r.clinic_id, p.id, r.items, r.left_out, r.with_more, r.kind, r.value, r.bound,
    r.forbidden, r.by_staff_id, r.made_at
FROM routine r JOIN pattern ON r.client_id = pattern.id CROSS JOIN people p;
CREATE TEMPORARY TABLE held AS
SELECT gen_random_uuid() AS id, p.id AS client_id, pattern.clinic_id, pattern.therapist_id,
    (now() - (:days * n.n / :sittings) * interval '1 day') AS at
FROM people p, pattern, generate_series(1, :sittings) AS n (n);
INSERT INTO sitting (id, finished_at, note, clinic_id, client_id, day, pain_before, actor_kind, actor_id, started_at,
    unaided, from_paper, in_class, written_by)
SELECT id, at, '', clinic_id, client_id, at::date, 1, 'staff', therapist_id, at, true, false, false, '' FROM held;
INSERT INTO prescribed_dose (id, clinic_id, client_id, item_key, dose, by_staff_id, at, source, proposal_key)
SELECT gen_random_uuid(), d.clinic_id, p.id, d.item_key, d.dose, d.by_staff_id, d.at, d.source, d.proposal_key
FROM prescribed_dose d JOIN pattern ON d.client_id = pattern.id CROSS JOIN people p;
-- what the newest sitting of the pattern ran, each item with the dose it was done with
CREATE TEMPORARY TABLE planned AS
SELECT row_number() OVER (ORDER BY i.place) - 1 AS place, i.planned::jsonb AS item
FROM sitting_item i JOIN (
    SELECT s.id FROM sitting s JOIN pattern ON s.client_id = pattern.id WHERE s.finished_at IS NOT NULL
    ORDER BY s.started_at DESC LIMIT 1
) AS newest ON newest.id = i.sitting_id
ORDER BY i.place LIMIT 12;
INSERT INTO planned SELECT (SELECT count(*) FROM planned) + n, item FROM planned
    CROSS JOIN generate_series(0, 11) n WHERE place = n % (SELECT count(*) FROM planned)
    LIMIT 12 - (SELECT count(*) FROM planned);
INSERT INTO sitting_item (id, clinic_id, client_id, sitting_id, place, planned, rung_id, hands, told, day, at)
SELECT gen_random_uuid(), h.clinic_id, h.client_id, h.id, p.place, p.item, p.item->>'rung', p.item->>'hands',
    '{"outcome": "done", "pain_before": 1, "pain_after": 1, "tone": "same", "fatigue": 3}', h.at::date, h.at
FROM held h CROSS JOIN planned p;
INSERT INTO sitting_event (id, clinic_id, client_id, sitting_id, item_id, actor_kind, actor_id, kind, body, body_hash,
    device_at, at, day, received_at)
SELECT gen_random_uuid(), i.clinic_id, i.client_id, i.sitting_id, i.id, 'staff', h.therapist_id, 'line', i.told, '',
    i.at, i.at, i.day, i.at
FROM sitting_item i JOIN held h ON h.id = i.sitting_id;
ANALYZE;
