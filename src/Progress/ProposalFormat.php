<?php

declare(strict_types=1);

namespace HandGarden\Progress;

use HandGarden\Content\Format\DoseFormat;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Catalogue;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Progress\Proposal;
use HandGarden\Core\Progress\ProposalKind;
use HandGarden\Core\Words\PhraseFormat;

/** A proposal as it is kept while it holds. */
final class ProposalFormat
{
    /** @return array<string, mixed> */
    public static function write(Proposal $proposal): array
    {
        return array_filter([
            'kind' => $proposal->kind->value,
            'rule' => $proposal->ruleId,
            'why' => PhraseFormat::write($proposal->why),
            'evidence' => $proposal->evidence,
            'rung' => $proposal->rungId,
            'hands' => $proposal->hands?->value,
            'from' => null === $proposal->from ? null : DoseFormat::write($proposal->from),
            'to' => null === $proposal->to ? null : DoseFormat::write($proposal->to),
            'to_rung' => $proposal->toRungId,
        ], static fn (mixed $value): bool => null !== $value);
    }

    /** Null when the catalogue no longer has the exercise. */
    public static function read(Node $node, Catalogue $catalogue): ?Proposal
    {
        $rungId = $node->optional('rung')?->string();
        $toRungId = $node->optional('to_rung')?->string();
        foreach ([$rungId, $toRungId] as $id) {
            if (null !== $id && !$catalogue->hasRung($id)) {
                return null;
            }
        }
        $dose = static fn (string $key): ?Dose => null === $rungId || !$node->has($key)
            ? null
            : DoseFormat::read($node->get($key), $catalogue->rung($rungId)->dosing->start);

        return new Proposal(
            $node->get('kind')->enum(ProposalKind::class),
            $node->get('rule')->string(),
            PhraseFormat::read($node->get('why')),
            $node->get('evidence')->strings(),
            rungId: $rungId,
            hands: $node->optional('hands')?->enum(Hands::class),
            from: $dose('from'),
            to: $dose('to'),
            toRungId: $toRungId,
        );
    }
}
