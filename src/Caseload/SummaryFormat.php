<?php

declare(strict_types=1);

namespace HandGarden\Caseload;

use HandGarden\Core\Data\Node;
use HandGarden\Core\Sitting\AlertKind;
use HandGarden\Core\Words\PhraseFormat;
use HandGarden\Sitting\AlertTimes;

/** A summary as it is kept in its row. */
final class SummaryFormat
{
    public static function write(Summary $summary): string
    {
        return json_encode([
            'day' => $summary->day->format('Y-m-d'),
            'last_practice' => $summary->lastPractice?->format('Y-m-d'),
            'days_done' => $summary->daysDone,
            'days_planned' => $summary->daysPlanned,
            'waiting' => (object) $summary->waiting,
            'suspended' => $summary->suspended,
            'measured_on' => $summary->measuredOn?->format('Y-m-d'),
            'unasked' => $summary->unasked,
            'has_routine' => $summary->hasRoutine,
            'alerts' => array_map(
                self::alert(...),
                $summary->alerts,
            ),
            'looks_again' => $summary->looksAgain,
            'visits_today' => $summary->visitsToday,
            'due' => array_map(
                PhraseFormat::write(...),
                $summary->due,
            ),
            'counts_days' => $summary->countsDays,
            'seldom_share' => $summary->seldomShare,
            'messages' => $summary->messages,
            'helpers' => $summary->helpers,
        ], \JSON_THROW_ON_ERROR);
    }

    public static function read(?string $kept): ?Summary
    {
        if (null === $kept) {
            return null;
        }
        $node = Node::fromJson($kept);
        $day = static fn (string $key): ?\DateTimeImmutable => null === ($node->optional($key)?->raw())
            ? null
            : $node->get($key)->date();

        return new Summary(
            $node->get('day')->date(),
            $day('last_practice'),
            $node->get('days_done')->int(),
            $node->get('days_planned')->int(),
            waiting: array_map(
                static fn (Node $n): int => $n->int(),
                $node->get('waiting')->map(),
            ),
            suspended: $node->get('suspended')->int(),
            measuredOn: $day('measured_on'),
            unasked: $node->get('unasked')->int(),
            hasRoutine: $node->get('has_routine')->bool(),
            alerts: self::alerts($node->optional('alerts')),
            looksAgain: $node->optional('looks_again')?->bool() ?? false,
            visitsToday: $node->optional('visits_today')?->bool() ?? false,
            due: array_map(
                PhraseFormat::read(...),
                $node->optional('due')?->items() ?? [],
            ),
            countsDays: $node->get('counts_days')->int(),
            seldomShare: $node->get('seldom_share')->float(),
            messages: $node->optional('messages')?->int() ?? 0,
            helpers: $node->optional('helpers')?->int() ?? 0,
        );
    }

    /** @return array<string, string> */
    private static function alert(AlertTimes $alert): array
    {
        return ['kind' => $alert->kind->value] + array_map(
            static fn (\DateTimeImmutable $at): string => $at->format(\DATE_ATOM),
            [
                'received' => $alert->receivedAt,
                'seen_by' => $alert->seenBy,
                'answered_by' => $alert->answeredBy,
                'half' => $alert->half,
                'limit' => $alert->limit,
                'twice' => $alert->twice,
            ],
        );
    }

    /** @return list<AlertTimes> none where an older row has their number only: it is worked out anew */
    private static function alerts(?Node $kept): array
    {
        return !\is_array($kept?->raw()) ? [] : array_map(static function (Node $alert): AlertTimes {
            $at = static fn (string $key): \DateTimeImmutable => new \DateTimeImmutable(
                $alert->get($key)->string(),
            );

            return new AlertTimes(
                $alert->get('kind')->enum(AlertKind::class),
                $at('received'),
                $at('seen_by'),
                $at('answered_by'),
                half: $at('half'),
                limit: $at('limit'),
                twice: $at('twice'),
            );
        }, $kept->items());
    }
}
