<?php

declare(strict_types=1);

namespace HandGarden\Bench\Faults;

use HandGarden\Core\Data\Node;
use Symfony\Component\Uid\Uuid;

/** A sitting that was opened in a browser, which sends what it has kept. */
final class PlayedSitting
{
    private readonly \CurlHandle $curl;

    private int $seq = 0;

    /** @param non-empty-list<string> $items ids */
    private function __construct(
        /** @var non-empty-string */
        private readonly string $base,
        public readonly string $id,
        private readonly string $secret,
        private readonly string $device,
        public readonly array $items,
    ) {
        $this->curl = curl_init();
        curl_setopt_array($this->curl, [
            \CURLOPT_RETURNTRANSFER => true,
            \CURLOPT_TIMEOUT => 20,
            \CURLOPT_HEADER => true,
        ]);
    }

    /**
     * @param non-empty-string $base
     * @param string           $client path of their page
     *
     * @return ?self null: nothing is begun with them today
     */
    public static function begun(string $base, Person $person, string $client): ?self
    {
        $start = $person->alone($person->ask($client.'/sittings/new'))->body;
        preg_match('/name="_token" value="([^"]+)"/', $start, $token);
        $begun = $person->alone($person->post($client.'/sittings/new', [
            '_token' => $token[1] ?? '',
            'pain_before' => '1',
            'hurt_later' => 'no',
            'help' => 'none',
            'kind' => 'home',
        ]))->leadsTo();
        $page = (string) parse_url($begun, \PHP_URL_PATH);
        if ('' === $page) {
            return null;
        }
        $answer = $person->alone($person->json($page.'/open', []))->body;
        $sheet = Node::fromJson($answer);
        $items = array_map(
            static fn (Node $item): string => $item->get('id')->string(),
            $sheet->get('score')->get('items')->items(),
        );
        if ([] === $items) {
            throw new \RuntimeException("Nothing to play in $page.");
        }

        return new self(
            $base,
            basename($page),
            $sheet->get('secret')->string(),
            Uuid::v4()->toRfc4122(),
            items: $items,
        );
    }

    /**
     * @param array<string, mixed> $body
     *
     * @return array<string, mixed> an event as this browser keeps it
     */
    public function event(string $kind, string $item, array $body): array
    {
        return [
            'id' => Uuid::v4()->toRfc4122(),
            'seq' => $this->seq++,
            'kind' => $kind,
            'item' => $item,
            'at' => gmdate('Y-m-d\TH:i:s\Z'),
            'body' => $body,
        ];
    }

    /** @param list<array<string, mixed>> $events */
    public function batch(array $events): \CurlHandle
    {
        curl_setopt_array($this->curl, [
            \CURLOPT_URL => $this->base.'/played/events',
            \CURLOPT_POST => true,
            \CURLOPT_POSTFIELDS => json_encode(
                ['device' => $this->device, 'sent_at' => gmdate('Y-m-d\TH:i:s\Z'), 'events' => $events],
                \JSON_THROW_ON_ERROR,
            ),
            \CURLOPT_HTTPHEADER => ['Content-Type: application/json', 'Authorization: Bearer '.$this->secret],
        ]);

        return $this->curl;
    }
}
