<?php

declare(strict_types=1);

namespace HandGarden\Account\SignIn;

use HandGarden\Account\Staff;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Generator\UrlGeneratorInterface;
use Twig\Environment;

/**
 * What stands in the place of a page until its person has typed the password. A page that was only to be read is opened
 * after it; what was being sent waits here and is sent on with it.
 */
final readonly class HiddenPage
{
    /** Where somebody who was reading goes on. */
    public const THEN = '_again_then';

    public function __construct(
        private Environment $twig,
        private UrlGeneratorInterface $addresses,
    ) {
    }

    public function show(Request $request, Staff $staff, bool $isWhole, ?string $problem): Response
    {
        $then = $request->isMethodSafe()
            ? $request->getRequestUri()
            : $request->request->getString(self::THEN);
        $typed = array_diff_key($request->request->all(), array_flip(Again::FIELDS));

        return new Response(
            $this->twig->render('Account/again.html.twig', [
                'action' => '' === $then ? '' : $this->addresses->generate('account_unlock'),
                'fields' => '' === $then ? self::flat($typed) : [self::THEN => $then],
                'isSending' => '' === $then,
                'hasFiles' => 0 < $request->files->count(),
                'staff' => $staff,
                'isOver' => $isWhole,
                'wantsCode' => $isWhole && null !== $staff->secondFactor,
                'problem' => $problem,
            ]),
            null === $problem ? Response::HTTP_UNAUTHORIZED : Response::HTTP_UNPROCESSABLE_ENTITY,
        );
    }

    /**
     * Fields as a form names them.
     *
     * @param array<array-key, mixed> $typed
     *
     * @return array<string, string>
     */
    private static function flat(array $typed, string $around = ''): array
    {
        $fields = [];
        foreach ($typed as $key => $value) {
            $name = '' === $around ? (string) $key : $around.'['.$key.']';
            if (\is_array($value)) {
                $fields += self::flat($value, $name);
            } elseif (\is_scalar($value)) {
                $fields[$name] = (string) $value;
            }
        }

        return $fields;
    }
}
