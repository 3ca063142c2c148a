<?php

declare(strict_types=1);

namespace HandGarden\Home;

use HandGarden\Account\Audit;
use HandGarden\Client\Client;
use HandGarden\Core\Anatomy\Hands;
use HandGarden\Core\Data\InvalidData;
use HandGarden\Core\Data\Node;
use HandGarden\Core\Diary\Doing;
use HandGarden\Core\Diary\Entry;
use HandGarden\Core\Diary\Factor;
use HandGarden\Core\Diary\Moment;
use HandGarden\Core\Diary\Trouble;
use HandGarden\Core\Helping\Managing;
use HandGarden\Core\Home\MessageAbout;
use HandGarden\Planning\UsesIt;
use HandGarden\Sitting\EventTime;
use HandGarden\Web\Clock;

/** Keeps what was told at home, under the id that the device gave it: the same once more changes nothing. */
final readonly class ToldAtHome
{
    private const MINUTE = 60;

    public function __construct(
        private Messages $messages,
        private Diaries $diaries,
        private HelperWords $helpers,
        private BlockWords $blocks,
        private EndedBlock $ended,
        private WhatIsSeen $seen,
        private HomeWears $wears,
        private UsesIt $uses,
        private HomePlans $plans,
        private Audit $audit,
        private Clock $clock,
    ) {
    }

    /** @throws InvalidData */
    public function take(
        HomeUser $user,
        Client $client,
        ToldKind $kind,
        string $id,
        Node $body,
        EventTime $time,
    ): void {
        $seen = $this->seen->by($user, $client);
        if (
            (ToldKind::Diary === $kind && !$seen->diary && $user->device->isIn())
            || (ToldKind::Changes === $kind && !$seen->changes)
        ) {
            throw $body->fail('is of what is not seen here');
        }
        match ($kind) {
            ToldKind::Message => $this->message($user, $client, $id, $body, time: $time),
            ToldKind::Diary => $this->entry($user, $client, $id, $body, time: $time),
            ToldKind::Read => $this->read($client, $body),
            ToldKind::Changes => $this->plans->sawChanges(
                $client,
                $body->only('ids')->get('ids')->strings(),
            ),
            ToldKind::Block => $this->block($user, $client, $body, $time->at),
            ToldKind::Helper => $this->helper($user, $client, $id, $body, at: $time->at),
            ToldKind::Wear => $this->wears->take($user, $client, $body, $time),
            ToldKind::Used => $this->used($client, $body, $time),
        };
    }

    private function message(HomeUser $user, Client $client, string $id, Node $body, EventTime $time): void
    {
        $body->only('about', 'text');
        $text = trim($body->optional('text')?->text(Message::LETTERS) ?? '');
        $about = $body->get('about')->enum(MessageAbout::class);
        if (null !== $this->messages->find($client, $id)) {
            return;
        }
        $this->messages->keep(new Message(
            $id,
            $client->clinicId,
            $client->id,
            $user->device->id,
            person: $user->device->person(),
            about: $about,
            text: $text,
            at: $time->at,
            receivedAt: $time->receivedAt,
        ));
        $this->audit->wrote('wrote from home', $client->id, $id);
    }

    private function used(Client $client, Node $body, EventTime $time): void
    {
        $use = $this->uses->find($client, $body->only('use')->get('use')->string())
            ?? throw $body->get('use')->fail('was never chosen');
        $use->tick($time->day);
        $this->uses->keep();
    }

    private function read(Client $client, Node $body): void
    {
        $message = $this->messages->find($client, $body->only('message')->get('message')->string());
        if (null !== $message && null !== $message->answeredAt) {
            $message->readAt ??= $this->clock->now();
            $this->messages->keep();
        }
    }

    /** Of the block that is over now, by the client's own device. */
    private function block(HomeUser $user, Client $client, Node $body, \DateTimeImmutable $at): void
    {
        $body->only('block', 'ease', 'content');
        $id = $body->get('block')->string();
        $ease = $body->get('ease')->int(0, BlockWord::MOST);
        $content = $body->get('content')->int(0, BlockWord::MOST);
        if ($user->isHelper()) {
            throw $body->fail('is told by the client alone');
        }
        if (null !== $this->blocks->of($id)) {
            return;
        }
        $asked = $this->ended->of($client, $this->clock->today($client->zone));
        if ($asked?->id !== $id) {
            throw $body->get('block')->fail('is no block that is over');
        }
        $this->blocks->keep(new BlockWord(
            $id,
            $client->clinicId,
            $client->id,
            $ease,
            content: $content,
            at: $at,
        ));
        $this->audit->wrote('said how a block went', $client->id, $id);
    }

    private function helper(
        HomeUser $user,
        Client $client,
        string $id,
        Node $body,
        \DateTimeImmutable $at,
    ): void {
        $body->only('managing', 'hurts', 'where');
        $helper = $user->device->helperId ?? throw $body->fail('is told by a helper alone');
        $word = new HelperWord(
            $id,
            $client->clinicId,
            $client->id,
            $helper,
            managing: $body->get('managing')->enum(Managing::class),
            hurts: $body->get('hurts')->bool(),
            hurtsWhere: $body->optional('where')?->text(HelperWord::WHERE_LETTERS) ?? '',
            at: $at,
        );
        if (!$this->helpers->has($id)) {
            $this->helpers->keep($word);
            $this->audit->wrote('told how helping goes', $client->id, $id);
        }
    }

    private function entry(HomeUser $user, Client $client, string $id, Node $body, EventTime $time): void
    {
        $body->only('moment', 'trouble', 'hand', 'severity', 'doing', 'answers');
        $diary = $this->diaries->of($client) ?? throw $body->fail('is for no diary');
        if ($this->diaries->hasEntry($client, $id)) {
            return;
        }
        $moment = $body->get('moment')->enum(Moment::class);
        $hand = $body->get('hand')->enum(Hands::class);
        $this->diaries->keep(new DiaryEntry(
            $id,
            $client->clinicId,
            $client->id,
            $user->device->id,
            person: $user->device->person(),
            moment: $moment,
            day: $time->day,
            trouble: $body->get('trouble')->enum(Trouble::class),
            hand: Hands::Each === $hand ? Hands::Together : $hand,
            severity: $body->get('severity')->int(0, Entry::MOST),
            doing: $body->get('doing')->enum(Doing::class),
            answers: self::answers($diary, $body),
            isLate: self::isLate($diary, $moment, $time, $client->zone),
            at: $time->at,
            receivedAt: $time->receivedAt,
        ));
        $this->audit->wrote('wrote diary', $client->id, $id);
    }

    /**
     * @return array<string, float>
     *
     * @throws InvalidData
     */
    private static function answers(Diary $diary, Node $body): array
    {
        $answers = [];
        foreach ($body->optional('answers')?->map() ?? [] as $code => $value) {
            $factor = Factor::tryFrom($code);
            if (null === $factor || !\in_array($factor, $diary->factors(), true)) {
                throw $value->fail('is not asked in this diary');
            }
            $answers[$factor->value] = $value->float(0.0, $factor->most());
        }

        return $answers;
    }

    /** Written further than an hour from its time. */
    private static function isLate(Diary $diary, Moment $moment, EventTime $time, string $zone): bool
    {
        $set = match ($moment) {
            Moment::First => $diary->firstAt,
            Moment::Second => $diary->secondAt,
            Moment::Now => null,
        };
        if (null === $set) {
            return false;
        }
        $at = $time->at->setTimezone(new \DateTimeZone($zone));
        [$hour, $minute] = array_map(intval(...), explode(':', $set));
        $away = abs($at->getTimestamp() - $at->setTime($hour, $minute)->getTimestamp());

        return $away > Moment::WITHIN_MINUTES * self::MINUTE;
    }
}
