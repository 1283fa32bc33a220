/** Two days under one slider; without this file they stand side by side. */
const pair = document.querySelector('[data-pair]');
const slide = document.querySelector('[data-slide]');

function show() {
    pair.style.setProperty('--cut', `${100 - Number(slide.value)}%`);
    slide.setAttribute('aria-valuetext', `${slide.value} %`);
}

if (pair && slide) {
    pair.classList.add('photo-over');
    document.querySelector('[data-slide-label]').hidden = false;
    slide.addEventListener('input', show);
    show();
}
