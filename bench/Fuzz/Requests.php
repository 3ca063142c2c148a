<?php

declare(strict_types=1);

namespace HandGarden\Bench\Fuzz;

use Symfony\Bundle\FrameworkBundle\KernelBrowser;
use Symfony\Component\DomCrawler\Crawler;
use Symfony\Component\HttpFoundation\File\UploadedFile;

/** Spoiled requests to pages, forms and scripts of a client, as somebody who is signed in. */
final class Requests
{
    private const ASKED = [
        'of', 'set', 'kind', 'side', 'task', 'q', 'name', 'page', 'at', 'do', 'archived', 'strand', 'from', 'item',
    ];

    /** @var array<int, int> answers by status */
    public array $answered = [];

    /** @var list<string> what ended in an error of the server */
    public array $wrong = [];

    /** @param list<string> $pages addresses that can be opened */
    public function __construct(
        private readonly KernelBrowser $browser,
        private readonly array $pages,
        private readonly Chance $chance,
        private readonly Nasty $nasty,
    ) {
    }

    /**
     * A page is opened, then each of its forms is sent spoiled, and the address is asked for spoiled.
     *
     * @return int how many requests that were
     */
    public function round(): int
    {
        \assert([] !== $this->pages);
        $page = $this->chance->of($this->pages);
        $crawler = $this->browser->request('GET', $page);
        $this->see('GET', $page);
        $sent = 1;
        foreach ($this->some($crawler->filter('main form')) as $form) {
            $this->send($form);
            ++$sent;
        }
        $this->spoiledAddress($page);

        return $sent + 1;
    }

    /**
     * @param array<array-key, mixed> $right what a script of ours would send
     */
    public function script(string $address, array $right, string $token): void
    {
        $body = $this->nasty->json($this->nasty->spoiled($right));
        $this->browser->request(
            'POST',
            $address,
            server: ['CONTENT_TYPE' => 'application/json', 'HTTP_X_GARDEN_TOKEN' => $token],
            content: $body,
        );
        $this->see('POST', $address, $body);
    }

    /** @param array<array-key, mixed> $right fields that a script of ours would send */
    public function fields(string $address, array $right, string $token): void
    {
        $fields = ['_token' => $token] + $this->spoiled($this->spoiled($right));
        $this->browser->request('POST', $address, $fields, server: ['HTTP_SEC_FETCH_MODE' => 'cors']);
        $this->see('POST', $address, json_encode($fields, \JSON_INVALID_UTF8_SUBSTITUTE));
    }

    /** @param array<array-key, mixed> $right what the file would hold */
    public function file(string $address, array $right, string $token): void
    {
        $body = $this->nasty->json($this->nasty->spoiled($this->nasty->spoiled($right)));
        $path = (string) tempnam(sys_get_temp_dir(), 'fuzz');
        file_put_contents($path, $body);
        $file = new UploadedFile($path, $this->nasty->text(), test: true);
        $this->browser->request('POST', $address, ['_token' => $token], ['file' => $file]);
        $this->see('POST', $address, $body);
        @unlink($path);
    }

    /** @param list<array<array-key, mixed>> $right lines of a device */
    public function lines(string $address, array $right, string $secret): void
    {
        $lines = array_map(
            fn (array $line): string => $this->nasty->json(
                $this->chance->oneIn(2) ? $this->nasty->spoiled($line) : $line,
            ),
            $right,
        );
        $this->browser->request(
            'POST',
            $address,
            server: ['HTTP_AUTHORIZATION' => 'Bearer '.$secret, 'CONTENT_TYPE' => 'application/x-ndjson'],
            content: implode("\n", $lines),
        );
        $this->see('POST', $address, implode("\n", $lines));
    }

    /** @return list<Crawler> at most four, the first ones of long pages are not always taken */
    private function some(Crawler $forms): array
    {
        $some = [];
        for ($times = min(4, $forms->count()); $times > 0; --$times) {
            $some[] = $forms->eq($this->chance->below($forms->count()));
        }

        return $some;
    }

    private function send(Crawler $shown): void
    {
        $form = $shown->form();
        $fields = $form->getPhpValues();
        foreach ($shown->filter('button[name]') as $button) {
            if ($button instanceof \DOMElement && $this->chance->oneIn(2)) {
                $fields[$button->getAttribute('name')] = $button->getAttribute('value');
            }
        }
        for ($times = 1 + $this->chance->below(3); $times > 0; --$times) {
            $fields = $this->spoiled($fields);
        }
        $this->browser->request($form->getMethod(), $form->getUri(), $fields);
        $this->see($form->getMethod(), $form->getUri(), json_encode($fields, \JSON_INVALID_UTF8_SUBSTITUTE));
    }

    /**
     * @param array<array-key, mixed> $fields
     *
     * @return array<array-key, mixed>
     */
    private function spoiled(array $fields): array
    {
        $names = array_values(array_filter(
            array_keys($fields),
            static fn (string|int $name): bool => '_token' !== $name, // or nothing behind it is reached
        ));
        $name = [] === $names ? $this->nasty->text() : $this->chance->of($names);
        if ($this->chance->oneIn(8)) {
            unset($fields[$name]);
        } elseif (\is_array($fields[$name] ?? null) && $this->chance->oneIn(2)) {
            $fields[$name] = $this->nasty->spoiled($fields[$name]);
        } else {
            $fields[$name] = $this->nasty->field();
        }

        return $fields;
    }

    private function spoiledAddress(string $page): void
    {
        $query = [];
        foreach (self::ASKED as $name) {
            if ($this->chance->oneIn(4)) {
                $query[$name] = $this->nasty->field();
            }
        }
        $path = strtok($page, '?');
        if ($this->chance->oneIn(4)) {
            $parts = explode('/', (string) $path);
            $parts[$this->chance->below(\count($parts))] = rawurlencode(
                substr($this->nasty->text(), 0, 400),
            );
            $path = implode('/', $parts);
        }
        $address = $path.'?'.http_build_query($query);
        $this->browser->request('GET', $address);
        $this->see('GET', $address);
    }

    private function see(string $method, string $address, string|false $body = ''): void
    {
        $status = $this->browser->getResponse()->getStatusCode();
        $this->answered[$status] = ($this->answered[$status] ?? 0) + 1;
        if ($status >= 500) {
            $this->wrong[] = \sprintf(
                '%s %s %s: %s',
                $method,
                (string) preg_replace('#[0-9a-f]{8}-[0-9a-f-]{27}#', 'ID', substr($address, 0, 200)),
                substr((string) $body, 0, 300),
                Failures::last(),
            );
        }
    }
}
