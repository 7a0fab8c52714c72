// Passkeys: asks the browser for one, and hands what it signed to the server. Nothing is kept here.
const token = () => document.querySelector('meta[name="csrf"]')?.content ?? '';
const bytes = (text) => Uint8Array.from(atob(text.replace(/-/g, '+').replace(/_/g, '/')), (c) => c.charCodeAt(0));
const text = (buffer) => btoa(String.fromCharCode(...new Uint8Array(buffer))).replace(/\+/g, '-').replace(/\//g, '_').replace(/=+$/, '');
const named = !/^[\d.]+$|^\[/.test(location.hostname);

async function post(path, body) {
  const answer = await fetch(path, {
    method: 'POST', credentials: 'same-origin', redirect: 'error',
    headers: { 'X-CSRF-TOKEN': token(), 'Content-Type': 'application/json' }, body: body === undefined ? undefined : JSON.stringify(body),
  });
  if (!answer.ok) throw new Error(String(answer.status));
  return answer.json();
}

const sent = (credential, response) => ({
  id: credential.id, rawId: text(credential.rawId), type: credential.type, clientExtensionResults: credential.getClientExtensionResults(),
  authenticatorAttachment: credential.authenticatorAttachment, response,
});

async function signIn() {
  const options = await post('/webauthn/authenticate/options');
  const credential = await navigator.credentials.get({
    publicKey: { ...options, challenge: bytes(options.challenge), allowCredentials: options.allowCredentials?.map((c) => ({ ...c, id: bytes(c.id) })) },
  });
  const r = credential.response;
  const answer = await post('/login/webauthn', sent(credential, {
    authenticatorData: text(r.authenticatorData), clientDataJSON: text(r.clientDataJSON), signature: text(r.signature),
    userHandle: r.userHandle ? text(r.userHandle) : undefined,
  }));
  location.assign(answer.to);
}

async function add(label) {
  const options = await post('/webauthn/register/options');
  const credential = await navigator.credentials.create({
    publicKey: {
      ...options, challenge: bytes(options.challenge), user: { ...options.user, id: bytes(options.user.id) },
      excludeCredentials: options.excludeCredentials?.map((c) => ({ ...c, id: bytes(c.id) })),
    },
  });
  const r = credential.response;
  await post('/webauthn/register', {
    publicKey: {
      credential: sent(credential, { attestationObject: text(r.attestationObject), clientDataJSON: text(r.clientDataJSON), transports: r.getTransports?.() ?? [] }),
      label,
    },
  });
  location.assign('/account/steps');
}

for (const box of document.querySelectorAll('[data-passkey]')) {
  const says = box.querySelector('[role="status"]');
  const button = box.querySelector('button');
  if (!named || !window.PublicKeyCredential) {
    if (box.dataset.passkey === 'add') {
      button.disabled = true;
      says.textContent = named ? 'This browser knows no passkeys.'
        : 'Browsers give passkeys to an address with a name only, not to a bare number. Open Yarbel by its name.';
    }
    continue;
  }
  box.hidden = false;
  button.addEventListener('click', async () => {
    says.textContent = '';
    button.disabled = true;
    try {
      if (box.dataset.passkey === 'add') {
        await add(box.querySelector('input').value.trim().slice(0, 60) || 'Passkey');
      } else {
        await signIn();
      }
    } catch (wrong) {
      says.textContent = wrong.message === '429' ? 'Too many attempts failed. Wait a quarter of an hour, then try again.'
        : 'That did not work: no passkey of this address was given. Try again, or use the password.';
      button.disabled = false;
    }
  });
}
