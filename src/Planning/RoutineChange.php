<?php

declare(strict_types=1);

namespace HandGarden\Planning;

use HandGarden\Client\Client;
use HandGarden\Content\CatalogueStore;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Catalogue\Dose;
use HandGarden\Core\Catalogue\InvalidDose;
use HandGarden\Core\Catalogue\Rung;
use HandGarden\Core\Routine\Draft;
use HandGarden\Core\Routine\Item;
use HandGarden\Core\Routine\ItemKey;
use HandGarden\Core\Routine\Kept;
use HandGarden\Core\Routine\Swaps;
use HandGarden\Core\Words\Phrase;
use HandGarden\Web\Clock;
use HandGarden\Web\Wording;
use Symfony\Component\HttpFoundation\InputBag;

/** One change of a routine as a form asks for it. */
final readonly class RoutineChange
{
    private const NOTE = 300;

    public function __construct(
        private Briefs $briefs,
        private GivenDose $given,
        private CatalogueStore $catalogue,
        private Clock $clock,
        private Wording $wording,
    ) {
    }

    /**
     * @param InputBag<bool|float|int|string> $form
     *
     * @throws RefusedChange
     */
    public function for(
        Draft $draft,
        InputBag $form,
        Client $client,
        RoutineKind $kind,
    ): Draft {
        $do = (string) $form->get('do', '');
        if ('add' === $do) {
            return $draft->adding($this->added($form, $client, $kind));
        }
        if ('allow' === $do) {
            return $draft->allowing((string) $form->get('key', ''));
        }
        if ('clear' === $do) {
            return new Draft([], $draft->forbidden);
        }
        $at = self::place($draft, $form);

        return match ($do) {
            'remove' => $draft->without($at),
            'forbid' => $draft->forbidding($at),
            'keep' => $draft->keeping(
                $at,
                $draft->items[$at]->kept ?? new Kept('Kept in by the therapist'),
            ),
            'free' => $draft->keeping($at, null),
            'up' => $draft->moved($at, -1),
            'down' => $draft->moved($at, 1),
            'swap' => $draft->swapped($at, $this->other($draft, $at, $form, $client, kind: $kind)),
            'dose' => $this->dosed($draft, $at, $form, $client),
            'more' => self::stepped($draft, $at, 1),
            'less' => self::stepped($draft, $at, -1),
            default => throw new RefusedChange('There is no such change.'),
        };
    }

    /**
     * What a form asks for, with everything that was typed.
     *
     * @param InputBag<bool|float|int|string> $form
     */
    public function inWords(InputBag $form): string
    {
        $name = fn (string $field): string => $this->nameOf((string) $form->get($field, ''));

        return match ((string) $form->get('do', '')) {
            'add' => 'add '.$name('rung').', because: '.$form->get('note'),
            'dose' => $name('key').', dose: '.implode(
                ', ',
                array_map(
                    static fn (string $field): string => $field.' '.$form->get($field),
                    array_filter(
                        ['sets', 'passes', 'repetitions', 'hold', 'move', 'load'],
                        $form->has(...),
                    ),
                ),
            ),
            'swap' => $name('with').' instead of '.$name('key'),
            'more' => 'more often: '.$name('key'),
            'less' => 'less often: '.$name('key'),
            'up' => 'move up: '.$name('key'),
            'down' => 'move down: '.$name('key'),
            'remove' => 'remove: '.$name('key'),
            'forbid' => 'keep out: '.$name('key'),
            'allow' => 'allow again: '.$name('key'),
            'keep' => 'keep in: '.$name('key'),
            'clear' => 'one list for every day',
            'free' => 'leave to the suggestion: '.$name('key'),
            default => 'a change',
        };
    }

    private function nameOf(string $key): string
    {
        $id = ItemKey::fromText($key)->rungId ?? '';

        return $this->catalogue->get()->hasRung($id)
            ? $this->catalogue->get()->rung($id)->name
            : 'an item';
    }

    /**
     * Where the item stands that a form means: where it stood, or where somebody else has moved it.
     *
     * @param InputBag<bool|float|int|string> $form
     *
     * @throws RefusedChange
     */
    private static function place(Draft $draft, InputBag $form): int
    {
        $at = $form->getInt('item', -1);
        $key = (string) $form->get('key', '');
        if (isset($draft->items[$at]) && ('' === $key || $key === $draft->items[$at]->key())) {
            return $at;
        }
        foreach ($draft->items as $i => $item) {
            if ('' !== $key && $key === $item->key()) {
                return $i;
            }
        }

        throw new RefusedChange('That item is no longer in the routine.');
    }

    /**
     * @param InputBag<bool|float|int|string> $form
     *
     * @throws RefusedChange
     */
    private function added(InputBag $form, Client $client, RoutineKind $kind): Item
    {
        $rungId = (string) $form->get('rung', '');
        $hands = Hands::tryFrom((string) $form->get('hands', ''));
        $note = trim((string) $form->get('note', ''));
        if (
            !$this->catalogue->get()->hasRung($rungId)
            || null === $hands
            || '' === $note
            || mb_strlen($note) > self::NOTE
        ) {
            throw new RefusedChange(
                'To add an item choose it, say for which hand, and note why in up to 300 letters.',
            );
        }
        $rung = $this->catalogue->get()->rung($rungId);
        $opened = $this->opened($rung, $hands, $client, $kind);

        return new Item(
            $rung,
            $hands,
            $this->briefs->doseOf($client, $kind, $rung, $hands),
            new Phrase('reason.added'),
            kept: new Kept($note, openedOn: $opened),
        );
    }

    /**
     * @return ?\DateTimeImmutable the day, where the note sets something aside
     *
     * @throws RefusedChange where no note does
     */
    private function opened(
        Rung $rung,
        Hands $hands,
        Client $client,
        RoutineKind $kind,
    ): ?\DateTimeImmutable {
        $door = $this->briefs->door($client, $kind);
        $closed = $door->closes($rung, $hands);
        if (null !== $closed) {
            throw new RefusedChange(
                $rung->name.' may not be given now. '.$this->wording->say($closed->why),
            );
        }

        return [] === $door->refusals($rung, $hands) ? null : $this->clock->today($client->zone);
    }

    /**
     * @param InputBag<bool|float|int|string> $form
     *
     * @throws RefusedChange
     */
    private function other(
        Draft $draft,
        int $at,
        InputBag $form,
        Client $client,
        RoutineKind $kind,
    ): Item {
        $swaps = new Swaps($this->catalogue->get(), $this->briefs->for($client, $kind));
        foreach ($swaps->for($draft->items[$at], $draft->items) as $item) {
            if ($item->key() === (string) $form->get('with', '')) {
                return $item;
            }
        }

        throw new RefusedChange('That exercise cannot stand here. Choose one of the list.');
    }

    /**
     * @param InputBag<bool|float|int|string> $form
     *
     * @throws RefusedChange
     */
    private function dosed(Draft $draft, int $at, InputBag $form, Client $client): Draft
    {
        return $draft->dosed($at, $this->typed($draft->items[$at], $form, $client));
    }

    /** An item one step more or less often; a chain goes in rounds, so that all of it changes. */
    private static function stepped(Draft $draft, int $at, int $by): Draft
    {
        $block = $draft->items[$at]->block;
        foreach ($draft->items as $i => $item) {
            if ($i === $at || (null !== $block && $item->block === $block)) {
                $draft = $draft->dosed($i, $item->rung->dosing->stepped($item->dose, $by));
            }
        }

        return $draft;
    }

    /**
     * A dose as it is typed, within the range of the rung and of screening.
     *
     * @param InputBag<bool|float|int|string> $form
     *
     * @throws RefusedChange
     */
    public function typed(Item $item, InputBag $form, Client $client): Dose
    {
        $load = $form->get('load');
        try {
            $dose = $item->dose
                ->withSets(GivenDose::number($form, 'sets', $item->dose->sets))
                ->withPasses(GivenDose::number($form, 'passes', $item->dose->passes))
                ->withRepetitions(GivenDose::number(
                    $form,
                    'repetitions',
                    $item->dose->repetitions,
                ))
                ->withMove(GivenDose::number($form, 'move', $item->dose->moveSeconds))
                ->withHold(GivenDose::number($form, 'hold', $item->dose->holdSeconds))
                ->withLoad(is_numeric($load) ? (float) $load : $item->dose->loadKilograms)
                ->atLevels(GivenDose::levels($form));

            return $this->given->check($client, $item->rung, $dose);
        } catch (InvalidDose $e) {
            throw new RefusedChange($e->getMessage(), previous: $e);
        }
    }
}
